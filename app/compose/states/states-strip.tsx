import type { Element as Printed } from 'hast'
import { toHtml } from 'hast-util-to-html'
import { useEffect, useLayoutEffect, useMemo, useRef } from 'react'
import { createPortal } from 'react-dom'
import { answersTo } from '#core/blocks/block-states'
import { hasTrait } from '#core/blocks/index'
import { walk } from '#core/blocks/tree'
import { buttonRules, fieldRules, linkRules } from '#core/render/look-rules'
import { createRenderer } from '#core/render/page'
import { printRules } from '#core/render/rules'
import { stateParts } from '#core/render/state-rules'
import { pageSurround, settingAt } from '#core/render/surround'
import { rulesAtViewport } from '#core/render/without-media-queries'
import { viewportHeightFor } from '#core/grid/viewport-height'
import { restyledPage, restyledSite } from '#core/site/directions'
import type { Page, Site } from '#core/site/schema'
import type { Place } from '#core/site/tree'
import { type BlockState, BLOCK_STATES, STATE_NAMES } from '#core/style/states'
import { useFrames } from '../../live/frames'
import { sharedViewRules, viewAddresses } from '../../live/rendering'
import { useSession, useSessionStore } from '../../session/context'
import { blockName } from '#core/blocks/block-name'
import { pageOf } from '../../session/store'
import { leadView } from '../motion/lead'

/** Height of one drawing, px. */
const HEIGHT = 104
/** Ground around it, px of the page. */
const PAD = 14

/** Which states hold while one does: what is pressed is hovered as well, and has the focus. */
const HOLDS: Record<BlockState, readonly BlockState[]> = {
  group: ['group'],
  hover: ['group', 'hover'],
  focus: ['group', 'hover', 'focus'],
  pressed: ['group', 'hover', 'focus', 'pressed'],
  current: ['current'],
  disabled: ['disabled'],
}

/** The element of a block in what was printed. */
function elementOf(element: Printed, block: string): Printed | undefined {
  if (element.properties.dataBlock === block) return element
  for (const child of element.children) {
    const found = child.type === 'element' ? elementOf(child, block) : undefined
    if (found) return found
  }
  return undefined
}

/** What prints sections for a site's language; it remembers what did not change. */
const rendererFor = (language: string) =>
  createRenderer({ language, editing: true, viewportUnit: 'unit', addresses: viewAddresses('finished') })

/** A block as it is drawn in its states: the section that holds it, with the states of the guide as attributes. */
function drawing(render: ReturnType<typeof rendererFor>, site: Site, page: Page, place: Place, width: number) {
  const own = [place.block.id, ...place.ancestors.map((one) => one.id)]
  const sections = render(site, { ...page, sections: page.sections.filter((one) => own.includes(one.id)) })
  const { guide } = restyledSite(site)
  const rules = [
    ...sharedViewRules(site, 'finished'),
    ...guide.buttons.flatMap((button) => buttonRules(button, guide, true, 'specimen')),
    ...fieldRules(guide, 'specimen'),
    ...linkRules(guide, 'specimen'),
    ...sections.flatMap((one) => one.rules),
  ]
  const css = printRules(rulesAtViewport(rules, { width, height: viewportHeightFor(width) }), 'minified')
  const found = sections[0] && elementOf(sections[0].element, place.block.id)
  return { css: `${css}:host{display:block}`, html: found ? toHtml(found) : '' }
}

const FONTS = '/fonts.css'

/** The faces of sites, which a shadow tree takes from its document. */
function loadFonts(): void {
  if (document.querySelector(`link[href="${FONTS}"]`)) return
  document.head.append(Object.assign(document.createElement('link'), { rel: 'stylesheet', href: FONTS }))
}

type StatesStripProps = { place: Place; states: readonly BlockState[] }

/** The selected block in all its states, side by side under the views; a press edits a state. */
export function StatesStrip({ place, states }: StatesStripProps) {
  const store = useSessionStore()
  const frames = useFrames()
  const site = useSession((state) => state.session.site)
  const page = useSession(pageOf)
  const scope = useSession((state) => state.scope)
  const view = leadView(frames, store.getState())
  const render = useMemo(() => rendererFor(site.language), [site.language])
  const width = view?.width
  const drawn = useMemo(
    () => (width === undefined ? undefined : drawing(render, site, page, place, width)),
    [render, site, page, place, width],
  )
  useEffect(loadFonts, [])
  const stage = document.querySelector('[data-stage]')?.parentElement
  if (!view || !drawn || !stage) return null
  const shown = [null, ...states.filter((state) => state !== 'group' || place.block.style.group)]
  return createPortal(
    <div
      role="group"
      aria-label={`States of ${blockName(place.block)}`}
      data-states
      className="absolute inset-x-0 bottom-0 z-40 flex gap-px overflow-x-auto border-t border-ink bg-line"
    >
      {shown.map((state) => (
        <button
          key={state ?? 'rest'}
          type="button"
          aria-pressed={scope === (state ?? 'base')}
          className="min-w-[120px] flex-1 bg-panel text-left hover:bg-field aria-pressed:bg-wash"
          onClick={() => store.setState({ scope: state ?? 'base' })}
        >
          <span className="block px-2.5 pt-1.5 text-label text-ink-2">{state ? STATE_NAMES[state] : 'At rest'}</span>
          <Drawing place={place} site={site} page={page} state={state} css={drawn.css} html={drawn.html} />
        </button>
      ))}
    </div>,
    stage,
  )
}

type DrawingProps = { place: Place; site: Site; page: Page; state: BlockState | null; css: string; html: string }

/** One state, as large as fits, on the ground that the block stands on. */
function Drawing({ place, site, page, state, css, html }: DrawingProps) {
  const frames = useFrames()
  const store = useSessionStore()
  const host = useRef<HTMLSpanElement>(null)
  useLayoutEffect(() => {
    const element = host.current!
    const view = leadView(frames, store.getState())
    const block = view?.frame.find(place.block.id)
    if (!view || !block) return
    const window = view.frame.document.defaultView!
    const root = element.shadowRoot ?? element.attachShadow({ mode: 'open' })
    const sheet = new CSSStyleSheet()
    sheet.replaceSync(css)
    root.adoptedStyleSheets = [sheet]
    // Printed from the site's own tree: words are text in it, never markup.
    root.innerHTML = `<div class="page">${html}</div>`
    const wrapper = root.firstElementChild as HTMLElement
    const copy = wrapper.firstElementChild as HTMLElement | null
    if (!copy) return
    const { width, height } = block.getBoundingClientRect()
    const around = window.getComputedStyle(block.parentElement ?? block)
    Object.assign(wrapper.style, {
      color: around.color,
      font: around.font,
      background: groundOf(block, window),
      padding: `${PAD}px`,
    })
    Object.assign(copy.style, { width: `${width}px`, margin: '0', position: 'relative', inset: 'auto' })
    dress(copy, place, site, page, state)
    const scale = Math.min(1, (element.parentElement!.clientWidth - 20) / (width + 2 * PAD), (HEIGHT - 16) / (height + 2 * PAD))
    Object.assign(element.style, { width: `${width + 2 * PAD}px`, transform: `scale(${scale})` })
  }, [frames, store, place, site, page, state, css, html])
  return (
    <span aria-hidden inert className="relative block overflow-clip px-2.5 py-2" style={{ height: HEIGHT }}>
      <span ref={host} className="pointer-events-none block origin-top-left" />
    </span>
  )
}

/** The nearest solid ground under a block in its view. */
function groundOf(block: Element, window: Window): string {
  for (let one: Element | null = block.parentElement; one; one = one.parentElement) {
    const { backgroundColor } = window.getComputedStyle(one)
    if (backgroundColor !== 'rgba(0, 0, 0, 0)' && backgroundColor !== 'transparent') return backgroundColor
  }
  return '#fff'
}

/** Sets on a copy of a block, and on what answers to it inside, what a state declares. */
function dress(copy: HTMLElement, place: Place, site: Site, page: Page, state: BlockState | null): void {
  if (state === null) return
  for (const one of [copy, ...copy.querySelectorAll<HTMLElement>('a, button, input, select, textarea')]) {
    one.dataset.state = state
    if (state === 'disabled') one.setAttribute('disabled', '')
    if (state === 'current') one.setAttribute('aria-current', 'page')
  }
  const surround = pageSurround(site.breakpoints)
  const dressed = restyledPage(site, page)
  const all = dressed.sections.flatMap((section) => [...walk(section)])
  const self = all.find((one) => one.id === place.block.id) ?? place.block
  const chain = [...place.ancestors, self]
  for (const block of walk(self)) {
    const element = block === self ? copy : copy.querySelector<HTMLElement>(`[data-block="${CSS.escape(block.id)}"]`)
    if (!element) continue
    const setting = settingAt(block, surround, site.breakpoints, 0, 'unit')
    const answers = block !== self && answersTo(chain) === self && (state === 'hover' || state === 'focus' || state === 'pressed')
    const holding: readonly BlockState[] = block === self ? HOLDS[state] : answers ? ['group'] : []
    const boxed = hasTrait(block.kind, 'image') && element.tagName !== 'IMG'
    for (const each of BLOCK_STATES.filter((one) => holding.includes(one))) {
      const values = block.style[each]
      if (!values) continue
      const { own, image } = stateParts(values, setting, boxed)
      for (const [name, value] of own) element.style.setProperty(name, value)
      const inside = element.querySelector('img')
      if (inside) for (const [name, value] of image) inside.style.setProperty(name, value)
    }
  }
}
