import { Plus, X } from 'lucide-react'
import { useRef } from 'react'
import { toast } from 'sonner'
import type { BlockOf } from '#core/blocks/index'
import { MOST_PARTS, pathSchema, type ShapePart } from '#core/blocks/shape'
import { ColourField } from '../../fields/colour-field'
import { ColumnHead, Finding, Row } from '../../fields/row'
import { useSessionStore } from '../../session/context'
import { edit } from '../../session/store'
import { ask } from '../../ui/ask'
import { Button } from '../../ui/button'
import { ListField } from '../../ui/list-field'
import { NumberField } from '../../ui/number-field'
import { FileInput } from '../../ui/file-input'

type Drawing = Pick<BlockOf<'shape'>, 'view' | 'parts'>

/** A polygon of regular corners, to begin with. */
const polygon = (corners: number, { width, height }: Drawing['view']): ShapePart => ({
  points: Array.from({ length: corners }, (_, i) => {
    const turn = (2 * Math.PI * i) / corners - Math.PI / 2
    return { x: Math.round((0.5 + 0.5 * Math.cos(turn)) * width), y: Math.round((0.5 + 0.5 * Math.sin(turn)) * height) }
  }),
  radius: 8,
  fill: { role: 'accent' },
})

const pointsText = (points: NonNullable<ShapePart['points']>) => points.map(({ x, y }) => `${x} ${y}`).join(', ')

function readPoints(text: string): ShapePart['points'] | undefined {
  const points = text.split(',').map((one) => one.trim().split(/\s+/).map(Number))
  const fits =
    points.length >= 3 && points.length <= 60 && points.every((one) => one.length === 2 && one.every((n) => Math.abs(n) <= 10_000))
  return fits ? points.map(([x, y]) => ({ x: x!, y: y! })) : undefined
}

/** The parts of a drawing: polygons and paths, each with its corners and colours; and drawings out of SVG files. */
export function ShapeColumn({ block }: { block: BlockOf<'shape'> }) {
  const store = useSessionStore()
  const input = useRef<HTMLInputElement>(null)
  const { view, parts } = block
  const setParts = (next: ShapePart[], gesture?: string) =>
    edit(store, { kind: 'field', block: block.id, field: 'parts', value: next as never }, gesture)
  const change = (at: number, values: Partial<ShapePart>, gesture?: string) =>
    setParts(
      parts.map((one, i) => (i === at ? { ...one, ...values } : one)),
      gesture,
    )
  const take = async (file: File | undefined) => {
    if (!file) return
    const body = new FormData()
    body.set('shape', file)
    const answer = await ask<Drawing>(`"${file.name}" was not taken`, '/shapes/own', { method: 'POST', body })
    if ('problem' in answer) return void toast.error(answer.problem)
    edit(store, {
      kind: 'batch',
      label: `drawing ${file.name}`,
      edits: [
        { kind: 'field', block: block.id, field: 'view', value: answer.view as never },
        { kind: 'field', block: block.id, field: 'parts', value: answer.parts as never },
      ],
    })
  }
  return (
    <div>
      <ColumnHead title="Shape" note={`${parts.length} ${parts.length === 1 ? 'part' : 'parts'}`} />
      <Row label="Field">
        <ListField
          label="Size of the field"
          placeholder="200 160"
          takes="two figures: its width and its height"
          text={`${view.width} ${view.height}`}
          onChange={(text) => {
            const [width, height, more] = text.split(/[\s,×x]+/).map(Number)
            const fits = width! > 0 && height! > 0 && width! <= 10_000 && height! <= 10_000 && more === undefined
            if (fits)
              edit(store, { kind: 'field', block: block.id, field: 'view', value: { width: width!, height: height! } as never })
            return fits
          }}
        />
        <Button className="!h-[26px]" onClick={() => input.current?.click()}>
          SVG
        </Button>
        <FileInput ref={input} label="Take an SVG file as a drawing" takes={['drawing']} onTake={([file]) => void take(file)} />
      </Row>
      {parts.map((part, at) => (
        <div key={at} className="my-1 rounded-2 border border-line-strong bg-field px-1.5 py-0.5">
          <Row label={part.points ? 'Polygon' : 'Path'}>
            {part.points ? (
              <ListField
                label={`Corners of part ${at + 1}`}
                placeholder="0 0, 100 0, 50 80"
                takes="3 to 60 corners, as 0 0, 100 0, 50 80"
                text={pointsText(part.points)}
                onChange={(text) => {
                  const points = readPoints(text)
                  if (points) change(at, { points })
                  return points !== undefined
                }}
              />
            ) : (
              <ListField
                label={`Path of part ${at + 1}`}
                placeholder="M0 0L100 0L50 80Z"
                takes="path data, as M0 0 L100 0 L50 80 Z"
                text={part.path ?? ''}
                onChange={(text) => {
                  const fits = pathSchema.safeParse(text).success && /^[Mm]/.test(text)
                  if (fits) change(at, { path: text })
                  return fits
                }}
              />
            )}
            {parts.length > 1 && (
              <button
                type="button"
                aria-label={`Take out part ${at + 1}`}
                className="flex h-6 w-6 shrink-0 items-center justify-center text-muted hover:text-rust"
                onClick={() => setParts(parts.filter((_, i) => i !== at))}
              >
                <X size={12} />
              </button>
            )}
          </Row>
          <Row label="Rounded">
            <NumberField
              className="w-[60px]"
              label={`Corners of part ${at + 1}, radius`}
              value={part.radius ?? 0}
              least={0}
              most={5000}
              onChange={(radius) => change(at, { radius })}
            />
            <ColourField
              label={`Fill of part ${at + 1}`}
              placeholder="No fill"
              value={part.fill}
              onChange={(fill, gesture) => {
                const { fill: _, ...rest } = part
                setParts(
                  parts.map((one, i) => (i === at ? (fill ? { ...part, fill } : rest) : one)),
                  gesture,
                )
              }}
            />
          </Row>
          <Row label="Line">
            <NumberField
              className="w-[60px]"
              label={`Line of part ${at + 1}`}
              value={part.stroke ? (part.strokeWidth ?? 1) : 0}
              least={0}
              most={500}
              onChange={(strokeWidth) => {
                const { stroke: _, strokeWidth: __, ...rest } = part
                setParts(
                  parts.map((one, i) =>
                    i === at ? (strokeWidth === 0 ? rest : { ...part, stroke: part.stroke ?? { role: 'ink' }, strokeWidth }) : one,
                  ),
                )
              }}
            />
            {part.stroke && (
              <ColourField
                label={`Colour of the line of part ${at + 1}`}
                value={part.stroke}
                onChange={(stroke, gesture) => stroke && change(at, { stroke }, gesture)}
              />
            )}
          </Row>
        </div>
      ))}
      {parts.length < MOST_PARTS && (
        <div className="flex gap-1">
          {[
            { corners: 3, name: 'Triangle' },
            { corners: 6, name: 'Hexagon' },
          ].map(({ corners, name }) => (
            <button
              key={name}
              type="button"
              className="flex h-[26px] flex-1 items-center justify-center gap-1 rounded-2 border border-line-strong hover:border-ink"
              onClick={() => setParts([...parts, polygon(corners, view)])}
            >
              <Plus size={12} /> {name}
            </button>
          ))}
          <button
            type="button"
            className="flex h-[26px] flex-1 items-center justify-center gap-1 rounded-2 border border-line-strong hover:border-ink"
            onClick={() => setParts([...parts, { path: 'M20 140 Q100 20 180 140 Z', fill: { role: 'accent' } }])}
          >
            <Plus size={12} /> Path
          </button>
        </div>
      )}
      <Finding well>It is decoration: those who hear the page are not told of it.</Finding>
    </div>
  )
}
