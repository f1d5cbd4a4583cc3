import type { Element } from 'hast'
import { viewportHeightFor } from '#core/grid/viewport-height'
import { EDITED, patch, refill, type Shown } from './patch'
import { type RenderedPage, sectionCss } from './rendering'

/** What only the views have: places of blocks without words, and no reaction to the pointer. */
const EDITOR_CSS = `
[data-empty]::before{content:attr(data-empty);opacity:.45;text-transform:capitalize;pointer-events:none}
[data-empty]:not([${EDITED}]){outline:1px dashed currentcolor;outline-offset:-1px;min-width:2em}
:where(section:empty,header:empty,footer:empty,div:empty,nav:empty){min-height:96px;outline:1px dashed #5f716688;outline-offset:-1px}
[data-over][open],[data-fold][open]{position:absolute!important;z-index:9;height:auto!important}
[data-over=dialog],[data-over=cover],[data-fold=cover]{inset-inline:0}
[data-over=dialog]{margin-inline:auto;max-width:min(640px,100% - 32px)}
[data-over=cover],[data-fold=cover]{min-height:calc(100*var(--vh))}
[data-fold=cover]{top:0}
html{overflow:hidden}body{overflow-x:clip}
[${EDITED}],.ProseMirror{outline:none;white-space:pre-wrap;cursor:text}`

/** The document of a view: no scripts can run in it; the fonts are linked, all else is adopted. */
export const VIEW_DOCUMENT = `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta http-equiv="Content-Security-Policy" content="script-src 'none'"><link rel="stylesheet" href="/fonts.css"></head><body></body></html>`

export type Frame = {
  document: Document
  width: number
  show: (page: RenderedPage) => void
  /** Heights of the sections by id, without what aligns them, px. */
  heights: () => Map<string, number>
  /** Sets the space under each section that aligns the rows, px. */
  align: (margins: ReadonlyMap<string, number>) => void
  find: (id: string) => HTMLElement | null
  /** Shows a block's words anew after they were edited in place. */
  restore: (id: string) => void
}

/** The space under a section that aligns the rows. */
const ALIGNS = 'margin-block-end'

type SheetMaker = { CSSStyleSheet: typeof CSSStyleSheet }

/** Takes charge of a view's document once it has loaded. */
export function createFrame(iframe: HTMLIFrameElement, width: number): Frame {
  const document = iframe.contentDocument!
  const { CSSStyleSheet } = iframe.contentWindow as unknown as SheetMaker
  const shared = new CSSStyleSheet()
  const editor = new CSSStyleSheet()
  const sheets = new Map<string, { css: string; sheet: CSSStyleSheet }>()
  const shown: Shown = new WeakMap()
  let body: Element = { type: 'element', tagName: 'body', properties: {}, children: [] }
  let sharedCss = ''
  let order = ''
  editor.replaceSync(`:root{--vh:${viewportHeightFor(width) / 100}px}${EDITOR_CSS}`)

  function adopt(page: RenderedPage): void {
    if (page.sharedCss !== sharedCss) {
      shared.replaceSync((sharedCss = page.sharedCss))
      // What was tried by hand while a value was dragged is now in the stylesheet.
      document.documentElement.removeAttribute('style')
    }
    for (const { id, rules } of page.sections) {
      const css = page.restyle?.(sectionCss(rules)) ?? sectionCss(rules)
      const known = sheets.get(id)
      if (known?.css === css) continue
      const sheet = known?.sheet ?? new CSSStyleSheet()
      sheet.replaceSync(css)
      sheets.set(id, { css, sheet })
    }
    const ids = page.sections.map((one) => one.id)
    if (ids.join() === order) return
    order = ids.join()
    for (const id of sheets.keys()) if (!ids.includes(id)) sheets.delete(id)
    document.adoptedStyleSheets = [shared, ...ids.map((id) => sheets.get(id)!.sheet), editor]
  }

  // Asked for hundreds of times in a frame, so what was found is kept as long as it is there.
  const found = new Map<string, HTMLElement>()
  const find = (id: string) => {
    const known = found.get(id)
    if (known?.isConnected && known.dataset.block === id) return known
    const element = document.querySelector<HTMLElement>(`[data-block="${CSS.escape(id)}"]`)
    if (element) found.set(id, element)
    else found.delete(id)
    return element
  }
  document.adoptedStyleSheets = [shared, editor]
  // A press outside the words that are edited must not take the focus into the frame, where no key is heard.
  document.addEventListener('mousedown', (event) => {
    if (!(event.target as HTMLElement).closest(`[${EDITED}]`)) event.preventDefault()
  })
  return {
    document,
    width,
    show(page) {
      // Words are hyphenated by the rules of their language, as on the published page.
      if (document.documentElement.lang !== page.language) document.documentElement.lang = page.language
      adopt(page)
      patch(document.body, body, page.body, shown)
      body = page.body
    },
    heights() {
      const list = new Map<string, number>()
      for (const section of document.querySelectorAll<HTMLElement>('.band'))
        list.set(section.dataset.block!, section.getBoundingClientRect().height)
      return list
    },
    align(margins) {
      // On the sections themselves, and only where it changes: another stylesheet would be matched against the whole page.
      for (const section of document.querySelectorAll<HTMLElement>('.band')) {
        const margin = margins.get(section.dataset.block!) ?? 0
        const wanted = margin > 0.01 ? `${Number(margin.toFixed(3))}px` : ''
        if (section.style.getPropertyValue(ALIGNS) === wanted) continue
        if (wanted === '') section.style.removeProperty(ALIGNS)
        else section.style.setProperty(ALIGNS, wanted, 'important')
      }
    },
    find,
    restore(id) {
      const node = find(id)
      const content = node && findElement(body, id)
      if (node && content) refill(node, content, shown)
    },
  }
}

function findElement(element: Element, id: string): Element | undefined {
  if (element.properties.dataBlock === id) return element
  for (const child of element.children) {
    const found = child.type === 'element' ? findElement(child, id) : undefined
    if (found) return found
  }
  return undefined
}
