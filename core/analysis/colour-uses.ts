import { type Block, hasTrait, guideColoursOf } from '#core/blocks/index'
import type { Page, Site } from '#core/site/schema'
import { restyledPage } from '#core/site/directions'
import { STATES, type Use } from '#core/guide/looks'
import type { Span } from '#core/values/words'
import { motionsIn } from '#core/motion/motion'
import { posesOf } from '#core/motion/poses-of'
import { coloursOfLayers } from '#core/style/fill-layers'
import { coloursOfShadow } from '#core/values/colour'
import { statesOfStyle, type StyleValues } from '#core/style/registry'
import type { Colour } from '#core/values/colour'
import type { Finding } from './finding'
import { visibleIn } from '#core/site/visible'

/** The uses in words, as they stand in a sentence. */
export const USE_WORDS: Record<Use, string> = {
  calls: 'calls to action',
  words: 'words',
  grounds: 'grounds',
  edges: 'edges',
  shadows: 'shadows and scrims',
}

/** One place where a colour is used: by which block and for what; a place of the style guide's own has no block. */
export type ColourUse = { colour: Colour; use: Use; what: string; block?: string }

function* ofValues(values: StyleValues, isCall: boolean): Generator<{ colour: Colour; use: Use; what: string }> {
  const asUse = (name: Use): Use => (isCall && name !== 'shadows' ? 'calls' : name)
  if (values.ink) yield { colour: values.ink, use: asUse('words'), what: 'ink' }
  if (values.fill) yield { colour: values.fill, use: asUse('grounds'), what: 'fill' }
  for (const colour of coloursOfLayers(values.fillLayers ?? [])) yield { colour, use: asUse('grounds'), what: 'fill layer' }
  if (values.edgeColour) yield { colour: values.edgeColour, use: asUse('edges'), what: 'edge' }
  for (const colour of coloursOfShadow(values.shadow)) yield { colour, use: 'shadows', what: 'shadow' }
  for (const { colour } of values.textShadow ?? []) yield { colour, use: 'shadows', what: 'shadow of the words' }
  if (values.outline) yield { colour: values.outline.colour, use: asUse('edges'), what: 'outline' }
  if (values.icon?.colour) yield { colour: values.icon.colour, use: asUse('words'), what: 'icon' }
  if (values.around) yield { colour: values.around, use: 'shadows', what: 'scrim around it' }
  for (const shape of [values.topShape, values.bottomShape])
    if (shape) yield { colour: shape.colour, use: asUse('grounds'), what: 'shape of an edge' }
  if (values.duotone) {
    yield { colour: values.duotone.dark, use: 'shadows', what: 'duotone' }
    yield { colour: values.duotone.light, use: 'shadows', what: 'duotone' }
  }
  for (const { colours = {} } of motionsIn(values.motion).flatMap(posesOf))
    for (const [role, colour] of Object.entries(colours)) {
      const use = asUse(role === 'ink' ? 'words' : 'grounds')
      yield { colour: { role }, use, what: 'motion' }
      yield { colour, use, what: 'motion' }
    }
  if (values.contact) yield { colour: values.contact.colour, use: 'shadows', what: 'contact shadow' }
  if (values.scrim) yield { colour: values.scrim.colour, use: 'shadows', what: 'scrim' }
}

/** Every colour that a block's own style names, at any width and in any state. */
export function* coloursOfBlock(block: Block): Generator<{ colour: Colour; use: Use; what: string }> {
  const { base, below } = block.style
  const states = statesOfStyle(block.style).map(([, values]) => values)
  const isCall = hasTrait(block.kind, 'call')
  for (const values of [base, ...states, ...Object.values(below ?? {})]) if (values) yield* ofValues(values, isCall)
}

const hasMark = (spans: readonly Span[]): boolean =>
  spans.some((span) => typeof span !== 'string' && span.kind !== 'break' && (span.kind === 'highlight' || hasMark(span.children)))

/** Colours that a block takes from the style guide: by its kind of button, its card, its look as a field, list or link. */
function* coloursByLook(block: Block, { guide, language }: Site): Generator<{ colour: Colour; use: Use; what: string }> {
  const states = (look: Partial<Record<string, unknown>>, isCall: boolean) =>
    STATES.flatMap((state) => {
      const values = look[state] as { fill?: Colour; ink?: Colour; edge?: Colour; ring?: Colour } | undefined
      if (!values) return []
      const one = (colour: Colour | undefined, use: Use, what: string) =>
        colour ? [{ colour, use: isCall ? ('calls' as const) : use, what: `${what}, ${state}` }] : []
      return [
        ...one(values.fill, 'grounds', 'fill'),
        ...one(values.ink, 'words', 'ink'),
        ...one(values.edge, 'edges', 'edge'),
        // The ring around what has the focus marks what is worked with, as calls to action are.
        ...one(values.ring, 'calls', 'ring'),
      ]
    })
  const look = guideColoursOf(block, guide)
  if (look?.states) yield* states(look.states, hasTrait(block.kind, 'call'))
  for (const { colour, use, what } of look?.others ?? []) if (colour) yield { colour, use, what }
  if ('words' in block && hasMark(block.words[language] ?? []))
    yield { colour: { role: 'accent' }, use: 'words', what: 'highlight' }
}

/** Every place of a page where a colour is used, by blocks that are shown and by the page itself. */
export function colourUses(site: Site, page: Page): ColourUse[] {
  const found: ColourUse[] = [
    { colour: { role: 'ground' }, use: 'grounds', what: 'the page' },
    { colour: { role: 'ink' }, use: 'words', what: 'the page' },
  ]
  for (const section of restyledPage(site, page).sections)
    for (const block of visibleIn(section))
      for (const one of [...coloursByLook(block, site), ...coloursOfBlock(block)]) found.push({ ...one, block: block.id })
  return found
}

/** A rule of a colour role that a page breaks: which, and by which blocks. */
export type BrokenRule = Finding<'broken-rule'> & { role: string; blocks: string[] }

/** The rules of colour roles that a page does not keep to, as “accent only on calls to action”. */
export function brokenRules(site: Site, page: Page): BrokenRule[] {
  const uses = colourUses(site, page)
  return site.guide.colours.flatMap(({ role, only }): BrokenRule[] => {
    if (!only || only.length === 0) return []
    const others = uses.filter((one) => 'role' in one.colour && one.colour.role === role && !only.includes(one.use))
    if (others.length === 0) return []
    const blocks = [...new Set(others.flatMap((one) => one.block ?? []))]
    const kinds = [...new Set(others.map((one) => one.use))].map((one) => USE_WORDS[one])
    return [
      {
        kind: 'broken-rule',
        role,
        blocks,
        sentence: `${role} is meant for ${only.map((one) => USE_WORDS[one]).join(' and ')} only, and ${others.length} ${others.length === 1 ? 'place uses' : 'places use'} it for ${kinds.join(' and ')}.`,
      },
    ]
  })
}
