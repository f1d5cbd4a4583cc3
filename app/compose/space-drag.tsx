import { type PointerEvent, useRef, useState } from 'react'
import { isContainer } from '#core/blocks/tree'
import { appliesTo } from '#core/blocks/applies'
import type { Place } from '#core/site/tree'
import { propertyOf, ofWidths } from '#core/style/registry'
import { type Length, pixels } from '#core/values/length'
import { useSession, useSessionStore } from '../session/context'
import { boxOf, boxOfElement, type StageView, useFrames } from '../live/frames'
import { edit, makeId, selected, type SessionStore } from '../session/store'
import { PointerTab } from './pointer-tab'
import { type SpaceArea, spaceAreas } from './space-areas'

/** How near a space of the guide a drag must come to take it, px of the page. */
const NEAR = 2

/** Thin ink lines, as space is drawn in a section through a thing. */
const HATCH = 'repeating-linear-gradient(135deg, rgb(22 33 27 / 0.45) 0 1px, rgb(237 183 0 / 0.12) 1px 5px)'

/** The areas of the selected block in a view, as they are laid out there. */
function areasOf(view: StageView, { block }: Place): SpaceArea[] {
  const box = boxOf(view, block.id)
  const element = view.frame.find(block.id)
  if (!box || !element) return []
  const child = isContainer(block)
    ? block.children.map((one) => view.frame.find(one.id)).find((one) => one !== undefined)
    : undefined
  // Sections have their padding on the band and lay out inside it.
  const inner = child?.parentElement ?? element
  const window = view.frame.document.defaultView!
  const [own, laid] = [window.getComputedStyle(element), window.getComputedStyle(inner)]
  const figure = (value: string) => Number.parseFloat(value) || 0
  const sides = appliesTo('paddingSides', block.kind)
  const rightToLeft = own.direction === 'rtl'
  // A side that has a padding of its own anywhere is dragged by itself.
  const { base, below } = block.style
  const by = (name: 'paddingStart' | 'paddingEnd') =>
    [base, ...Object.values(below ?? {})].some((values) => values?.[name] !== undefined) ? name : 'paddingSides'
  const children = isContainer(block)
    ? block.children.flatMap((one) => {
        const found = view.frame.find(one.id)
        const still = found && window.getComputedStyle(found).position !== 'absolute'
        return still ? [boxOfElement(found, view.scale)] : []
      })
    : []
  return spaceAreas(
    box,
    children.filter((one) => one.width > 0 && one.height > 0),
    {
      top: figure(own.paddingTop),
      bottom: figure(own.paddingBottom),
      left: sides ? figure(own.paddingLeft) : 0,
      right: sides ? figure(own.paddingRight) : 0,
      leftBy: by(rightToLeft ? 'paddingEnd' : 'paddingStart'),
      rightBy: by(rightToLeft ? 'paddingStart' : 'paddingEnd'),
      gap: laid.display.includes('flex') || laid.display.includes('grid') ? figure(laid.columnGap) : 0,
      rowGap: laid.display.includes('flex') || laid.display.includes('grid') ? figure(laid.rowGap) : 0,
    },
    view.scale,

    // The gutter of a section is the page's.
  ).filter((one) => appliesTo(one.name, block.kind) && !(block.kind === 'section' && one.name === 'gap'))
}

/** A size as a space of the guide, where one is so near that it is meant; else whole px. */
function asSpace(store: SessionStore, px: number, exact: boolean): Length {
  const { spaces } = store.getState().session.site.guide
  const token = spaces.find(({ size }) => 'unit' in size && size.unit === 'px' && Math.abs(size.value - px) <= NEAR)
  return token && !exact ? { token: token.name } : pixels(Math.round(px))
}

/** Paddings and gaps of the selected block, hatched, to drag while distances are shown. */
export function SpaceDrag({ index }: { index: number }) {
  const store = useSessionStore()
  const view = useFrames().get(index)
  useSession((state) => state.layout)
  const shown = useSession((state) => state.distances && state.also.length === 0 && state.words === null)
  const place = useSession(selected)
  const [held, setHeld] = useState<{ x: number; y: number; text: string } | null>(null)
  const drag = useRef<{ area: SpaceArea; gesture: string; from: number } | null>(null)
  if (!view || !shown || !place) return null

  const move = (event: PointerEvent<HTMLDivElement>) => {
    const { current } = drag
    if (!current) return
    const { area } = current
    const by = ((area.axis === 'x' ? event.clientX : event.clientY) - current.from) * area.grows
    const length = asSpace(store, Math.max(0, area.px + by / view.scale), event.altKey)
    const { scope } = store.getState()
    edit(store, { kind: 'style', block: place.block.id, scope: ofWidths(scope), values: { [area.name]: length } }, current.gesture)
    const bounds = event.currentTarget.offsetParent!.getBoundingClientRect()
    const said = 'token' in length ? length.token : `${'value' in length ? length.value : 0} px`
    const now = areasOf(view, place)
    const own = now.find((one) => one.name === area.name)
    // The views are laid out by now, so what has become equal is measured.
    const equal = now.find((one) => own && one.name !== area.name && one.axis === area.axis && Math.abs(one.px - own.px) < 0.5)
    setHeld({
      x: event.clientX - bounds.left,
      y: event.clientY - bounds.top,
      text: `${propertyOf(area.name).label} ${said}${equal ? `, equal to ${propertyOf(equal.name).label.toLowerCase()}` : ''}`,
    })
  }
  const end = () => {
    drag.current = null
    setHeld(null)
  }
  return (
    <>
      {areasOf(view, place).map((area, n) => (
        <div
          // The area that is held must stay the same element while its neighbours come and go.
          key={`${area.name} ${area.grows} ${n}`}
          data-space={area.name}
          title={`${propertyOf(area.name).label}, ${Math.round(area.px)} px: drag to change it; with Alt, in whole px alone`}
          className="absolute z-10"
          style={{ ...area.box, backgroundImage: HATCH, cursor: area.axis === 'x' ? 'ew-resize' : 'ns-resize' }}
          onPointerDown={(event) => {
            event.stopPropagation()
            event.currentTarget.setPointerCapture(event.pointerId)
            drag.current = { area, gesture: makeId(), from: area.axis === 'x' ? event.clientX : event.clientY }
          }}
          onPointerMove={move}
          onPointerUp={end}
          onPointerCancel={end}
        >
          {Math.min(area.box.width, area.box.height) >= 14 && (
            <span className="figure pointer-events-none absolute left-1/2 top-1/2 -translate-x-1/2 -translate-y-1/2 bg-panel px-0.5 text-[10px] leading-3">
              {Math.round(area.px)}
            </span>
          )}
        </div>
      ))}
      {held && (
        <PointerTab x={held.x} y={held.y} figure>
          {held.text}
        </PointerTab>
      )}
    </>
  )
}
