import type { Root } from 'hast'
import { BEHAVIOUR } from '#core/render/behaviour'
import { createRenderer } from '#core/render/page'
import { stylesheet } from '#core/render/site'
import type { Page, Site } from '#core/site/schema'

/** Colours and faces that a page really uses, whatever the style guide has besides, and the names of the font files that it takes. */
export type PrintedValues = { hexes: ReadonlySet<string>; families: ReadonlySet<string>; fonts: readonly string[] }

const known = new WeakMap<
  Page,
  { guide: Site['guide']; directions: Site['directions']; breakpoints: Site['breakpoints']; used: PrintedValues }
>()

const nowhere = () => ''
const renderers = new Map<string, ReturnType<typeof createRenderer>>()

/** A renderer that remembers what it printed, as those of views do; files and addresses are none of its concern. */
function rendererFor(language: string): ReturnType<typeof createRenderer> {
  let renderer = renderers.get(language)
  if (!renderer) {
    const addresses = { picture: nowhere, link: nowhere, form: nowhere }
    renderer = createRenderer({ language, editing: false, behaviour: BEHAVIOUR, viewportUnit: 'unit', addresses })
    renderers.set(language, renderer)
  }
  return renderer
}

/** What the stylesheet of a page alone would name; remembered for as long as page and guide are the same. */
export function valuesPrintedOn(site: Site, page: Page): PrintedValues {
  const before = known.get(page)
  const same = before?.guide === site.guide && before.directions === site.directions && before.breakpoints === site.breakpoints
  if (same) return before.used
  const alone = { ...site, pages: [page] }
  const sections = rendererFor(site.language)(alone, page)
  const tree: Root = { type: 'root', children: sections.map((one) => one.element) }
  const rules = sections.flatMap((one) => one.rules)
  const { css, fonts } = stylesheet(alone, rules, [tree], { style: 'readable', addresses: { font: nowhere } })
  const hexes = new Set([...css.matchAll(/#([0-9a-f]{6})(?:[0-9a-f]{2})?\b/g)].map(([, hex]) => `#${hex}`))
  const families = new Set(fonts.map((file) => file.family.id))
  const used = { hexes, families, fonts: fonts.map((file) => file.name) }
  known.set(page, { guide: site.guide, directions: site.directions, breakpoints: site.breakpoints, used })
  return used
}
