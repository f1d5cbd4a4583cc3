import { type PointerEvent, useRef } from 'react'
import type { BlockOf } from '#core/blocks/index'
import { cropPosition } from '#core/picture/crop-position'
import type { Picture } from '#core/picture/picture'
import { Choice } from '../../ui/choice'
import { NumberField } from '../../ui/number-field'
import { useSession } from '../../session/context'
import { AlternativeRows } from './alternative-rows'
import { MIXED } from './fields'
import { PictureChoice } from './picture-choice'
import { PictureEffects } from './picture-effects'
import { PictureWarnings } from './picture-warnings'
import { ColourField } from '../../fields/colour-field'
import { ColumnHead, Finding, Row } from '../../fields/row'
import { newGesture, type StyleAccess } from '../../fields/use-style'
import { useAsked } from '../../ui/asked'

const SHAPES = [
  { value: 'own', label: 'Its own' },
  { value: '1/1', label: '1 : 1' },
  { value: '4/3', label: '4 : 3' },
  { value: '3/2', label: '3 : 2' },
  { value: '16/9', label: '16 : 9' },
  { value: '2/1', label: '2 : 1' },
  { value: '3/4', label: '3 : 4' },
  { value: '2/3', label: '2 : 3' },
] as const
const FITS = [
  { value: 'cover', label: 'Fill, cropped' },
  { value: 'contain', label: 'Whole' },
] as const

/** The picture, its crop about a focal point, its scrim, and the words that stand for it. */
export function PictureColumn({ block, style }: { block: BlockOf<'picture'>; style: StyleAccess }) {
  const site = useSession((state) => state.session.site)
  const picture = site.pictures.find((one) => one.id === block.picture)
  const aspect = style.get('aspect')
  const one = style.places.length === 1
  return (
    <div>
      <ColumnHead
        title="Picture"
        note={!one ? `${style.places.length} blocks` : picture ? `${picture.width} × ${picture.height}` : 'none chosen'}
      />
      <div className="mb-1 flex gap-2">
        {picture && one && <FocalPoint picture={picture} style={style} />}
        <div className="flex min-w-0 flex-1 flex-col gap-1">
          <PictureChoice block={block} style={style} />
        </div>
      </div>
      <Row label="Shape" style={style} names={['aspect', 'fit']}>
        <Choice
          className="flex-1"
          label="Shape"
          placeholder={MIXED}
          value={style.isMixed('aspect') ? null : aspect ? `${aspect.width}/${aspect.height}` : 'own'}
          options={SHAPES}
          onChange={(value) => {
            const [width, height] = value.split('/').map(Number)
            style.set({ aspect: value === 'own' ? null : { width: width!, height: height! } })
          }}
        />
        <Choice
          className="flex-1"
          label="Fit"
          placeholder={MIXED}
          value={style.isMixed('fit') ? null : (style.get('fit') ?? 'cover')}
          options={FITS}
          onChange={(fit) => style.set({ fit })}
        />
      </Row>
      <Scrim style={style} />
      <PictureEffects style={style} />
      {one && <AlternativeRows block={block} label="Alternative text" />}
      {one && picture && <PictureWarnings place={style.place} picture={picture} />}
      {one && !picture && <Finding well={false}>No picture is chosen: the frame stands in its place.</Finding>}
    </div>
  )
}

const CENTRE = { x: 50, y: 50 }

/** The part of the picture that every crop keeps: press or drag on it. */
function FocalPoint({ picture, style }: { picture: Picture; style: StyleAccess }) {
  const focal = style.get('focal') ?? cropPosition(picture) ?? CENTRE
  const [newest, ask] = useAsked(focal)
  const gesture = useRef('')
  const set = (event: PointerEvent<HTMLButtonElement>) => {
    const box = event.currentTarget.getBoundingClientRect()
    const percent = (at: number, from: number, size: number) => Math.round(Math.min(100, Math.max(0, ((at - from) / size) * 100)))
    style.set(
      {
        focal: {
          x: percent(event.clientX, box.left, box.width),
          y: percent(event.clientY, box.top, box.height),
        },
      },
      gesture.current,
    )
  }
  const nudge = (dx: number, dy: number) => {
    const { x, y } = newest()
    const next = { x: Math.min(100, Math.max(0, x + dx)), y: Math.min(100, Math.max(0, y + dy)) }
    ask(next)
    style.set({ focal: next })
  }
  const arrows: Record<string, [number, number]> = {
    ArrowLeft: [-5, 0],
    ArrowRight: [5, 0],
    ArrowUp: [0, -5],
    ArrowDown: [0, 5],
  }
  return (
    <button
      type="button"
      aria-label={`Focal point, ${focal.x} % across and ${focal.y} % down. Arrow keys move it.`}
      title="Focal point: what every crop keeps"
      className="relative h-[56px] shrink-0 cursor-crosshair touch-none overflow-hidden rounded-2 border border-line-strong"
      style={{ aspectRatio: `${picture.width} / ${picture.height}`, maxWidth: 110 }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        gesture.current = newGesture()
        set(event)
      }}
      onPointerMove={(event) => event.buttons === 1 && set(event)}
      onKeyDown={(event) => {
        const by = arrows[event.key]
        if (!by) return
        event.preventDefault()
        event.stopPropagation()
        nudge(...by)
      }}
    >
      <img alt="" src={`/pictures/${picture.hash}?w=320`} className="h-full w-full object-fill" draggable={false} />
      <span
        className="absolute h-3 w-3 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-yarrow bg-ink/50"
        style={{ left: `${focal.x}%`, top: `${focal.y}%` }}
      />
    </button>
  )
}

/** A first scrim, in the dark colour of the guide's light: on a dark guide the ink is pale, as the words over a picture are. */
const firstScrim = (role: string) => ({ colour: { role }, from: 0.5, to: 0.5, angle: 90 })

function Scrim({ style }: { style: StyleAccess }) {
  const scrim = style.get('scrim')
  const dark = useSession((state) => state.session.site.guide.light.role)
  const now = scrim ?? firstScrim(dark)
  const percent = (name: 'from' | 'to', label: string) => (
    <NumberField
      className="flex-1"
      label={label}
      unit="%"
      value={scrim ? Math.round(scrim[name] * 100) : null}
      placeholder="0"
      least={0}
      most={100}
      step={5}
      onChange={(value) => style.set({ scrim: { ...now, [name]: value / 100 } })}
    />
  )
  return (
    <>
      <Row label="Scrim" style={style} names={['scrim']}>
        <ColourField
          label="Scrim"
          placeholder={style.isMixed('scrim') ? MIXED : undefined}
          value={scrim?.colour}
          onChange={(colour, gesture) => style.set({ scrim: colour && { ...now, colour } }, gesture)}
        />
      </Row>
      {scrim && (
        <Row label="From, to">
          {percent('from', 'Scrim strength at its start')}
          {percent('to', 'Scrim strength at its end')}
          <NumberField
            className="flex-1"
            label="Angle of the scrim"
            unit="°"
            value={scrim.angle}
            least={0}
            most={360}
            step={15}
            onChange={(angle) => style.set({ scrim: { ...now, angle } })}
          />
        </Row>
      )}
    </>
  )
}
