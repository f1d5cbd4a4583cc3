import { type PointerEvent, useRef } from 'react'
import { CURVE_NAMES, type Curve, type Easing } from '#core/motion/curves'
import { curveOf } from '#core/motion/easing'
import { Row } from '../../fields/row'
import { newGesture } from '../../fields/use-style'
import { Choice } from '../../ui/choice'
import { ListField } from '../../ui/list-field'
import { followPointer } from '../follow-pointer'

/** Size of the drawing, and of the square of the curve inside it, px: y may go past both ends. */
const SIZE = 92
const SQUARE = 52
const PAD = (SIZE - SQUARE) / 2

const x = (value: number) => PAD + value * SQUARE
const y = (value: number) => SIZE - PAD - value * SQUARE

type CurveRowProps = { label: string; easing: Easing; onChange: (easing: Easing, gesture?: string) => void }

/** How a change goes on in its time: a curve by its name, or one whose two points are dragged. */
export function CurveRow({ label, easing, onChange }: CurveRowProps) {
  const own = typeof easing !== 'string'
  return (
    <>
      <Row label="Easing">
        <Choice
          className="flex-1"
          label={`Easing of ${label}`}
          value={own ? 'own' : easing}
          options={[
            ...CURVE_NAMES.map((name) => ({ value: name as string, label: name })),
            { value: 'own', label: 'its own curve' },
          ]}
          onChange={(name) => onChange(name === 'own' ? ([...curveOf(easing)] as unknown as Easing) : (name as Easing))}
        />
      </Row>
      {own && (
        <Row label="">
          <span className="flex flex-1 flex-col gap-1">
            <CurveDrawing curve={easing} onChange={onChange} />
            <ListField
              label={`Points of the curve of ${label}`}
              placeholder="0.2 0.8 0.4 1"
              takes="four figures: x and y of two points, x from 0 to 1"
              text={easing.map((one) => Number(one.toFixed(2))).join(' ')}
              onChange={(text) => {
                const figures = text.split(/[\s,]+/).map(Number)
                const fits =
                  figures.length === 4 &&
                  figures.every((one) => one >= -2 && one <= 3) &&
                  [figures[0]!, figures[2]!].every((one) => one >= 0 && one <= 1)
                if (fits) onChange(figures as unknown as Easing)
                return fits
              }}
            />
          </span>
        </Row>
      )}
    </>
  )
}

/** The curve, with its two points to drag, or to move by the arrow keys in hundredths. */
function CurveDrawing({ curve, onChange }: { curve: Curve; onChange: (easing: Easing, gesture?: string) => void }) {
  const drawing = useRef<SVGSVGElement>(null)
  const [x1, y1, x2, y2] = curve
  const set = (point: 0 | 1, px: number, py: number, gesture?: string) => {
    const next = [...curve] as [number, number, number, number]
    next[2 * point] = Math.min(1, Math.max(0, Math.round(px * 100) / 100))
    next[2 * point + 1] = Math.min(1.6, Math.max(-0.6, Math.round(py * 100) / 100))
    onChange(next, gesture)
  }
  const drag = (point: 0 | 1) => (event: PointerEvent) => {
    event.preventDefault()
    const gesture = newGesture()
    const { left, top } = drawing.current!.getBoundingClientRect()
    followPointer({
      move: (now) => set(point, (now.clientX - left - PAD) / SQUARE, (SIZE - PAD - (now.clientY - top)) / SQUARE, gesture),
      end: () => undefined,
    })
  }
  return (
    <svg ref={drawing} width={SIZE} height={SIZE} className="touch-none rounded-2 border border-line-strong bg-field" data-curve>
      <path d={`M${x(0)} ${y(0)}H${x(1)}M${x(0)} ${y(1)}H${x(1)}`} stroke="#CDD8C6" />
      <path d={`M${x(0)} ${y(0)}L${x(x1)} ${y(y1)}M${x(1)} ${y(1)}L${x(x2)} ${y(y2)}`} stroke="#5F7166" strokeDasharray="2 2" />
      <path
        d={`M${x(0)} ${y(0)}C${x(x1)} ${y(y1)} ${x(x2)} ${y(y2)} ${x(1)} ${y(1)}`}
        fill="none"
        stroke="#16211B"
        strokeWidth="1.5"
      />
      {([0, 1] as const).map((point) => {
        const [px, py] = [curve[2 * point]!, curve[2 * point + 1]!]
        return (
          <circle
            key={point}
            role="slider"
            tabIndex={0}
            aria-label={`Point ${point + 1} of the curve`}
            aria-valuetext={`${px}, ${py}`}
            aria-valuenow={px}
            aria-valuemin={0}
            aria-valuemax={1}
            cx={x(px)}
            cy={y(py)}
            r="5"
            fill="#EDB700"
            stroke="#16211B"
            className="cursor-grab"
            onPointerDown={drag(point)}
            onKeyDown={(event) => {
              const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key]
              if (!by) return
              event.preventDefault()
              event.stopPropagation()
              set(point, px + by[0]! / 100, py + by[1]! / 100)
            }}
          />
        )
      })}
    </svg>
  )
}
