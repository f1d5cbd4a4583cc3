import type { Block, Page, Site } from '#core/site/schema'
import { dressedPage } from '#core/site/directions'
import { STATES, type Use } from '#core/site/looks'
import { isContainer } from '#core/site/tree'
import type { Span } from '#core/site/words'
import type { StyleValues } from '#core/style/registry'
import type { Colour } from '#core/style/values'

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
  if (values.gradient) {
    yield { colour: values.gradient.from, use: asUse('grounds'), what: 'gradient' }
    yield { colour: values.gradient.to, use: asUse('grounds'), what: 'gradient' }
  }
  if (values.edgeColour) yield { colour: values.edgeColour, use: asUse('edges'), what: 'edge' }
  if (values.shadow && 'colour' in values.shadow) yield { colour: values.shadow.colour, use: 'shadows', what: 'shadow' }
  if (values.contact) yield { colour: values.contact.colour, use: 'shadows', what: 'contact shadow' }
  if (values.scrim) yield { colour: values.scrim.colour, use: 'shadows', what: 'scrim' }
}

/** Every colour that a block's own style names, at any width and on hover. */
export function* coloursOfBlock(block: Block): Generator<{ colour: Colour; use: Use; what: string }> {
  const { base, below, hover } = block.style
  const isCall = block.kind === 'button'
  for (const values of [base, hover, ...Object.values(below ?? {})]) if (values) yield* ofValues(values, isCall)
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
  if (block.kind === 'button') {
    const kind = guide.buttons.find((one) => one.name === block.look)
    if (kind) yield* states(kind, true)
  } else if (block.kind === 'field') yield* states(guide.looks.field, false)
  else if (block.kind === 'link') yield* states(guide.looks.link, false)
  else if (block.kind === 'list' && guide.looks.list.ink) yield { colour: guide.looks.list.ink, use: 'words', what: 'markers' }
  else if (block.kind === 'divider') yield { colour: { role: 'line' }, use: 'edges', what: 'line' }
  else if (block.kind === 'group' && block.look) {
    const card = guide.looks.cards.find((one) => one.name === block.look)
    const { table } = guide.looks
    if (card?.fill) yield { colour: card.fill, use: 'grounds', what: 'card' }
    if (card?.ink) yield { colour: card.ink, use: 'words', what: 'card' }
    if (card?.edge) yield { colour: card.edge, use: 'edges', what: 'card' }
    if (block.look === 'table') {
      yield { colour: table.line, use: 'edges', what: 'lines of the table' }
      if (table.stripe) yield { colour: table.stripe, use: 'grounds', what: 'stripes' }
    }
  }
  if ('words' in block && hasMark(block.words[language] ?? []))
    yield { colour: { role: 'accent' }, use: 'words', what: 'highlight' }
}

/** Every place of a page where a colour is used, by blocks that are shown and by the page itself. */
export function colourUses(site: Site, page: Page): ColourUse[] {
  const found: ColourUse[] = [
    { colour: { role: 'ground' }, use: 'grounds', what: 'the page' },
    { colour: { role: 'ink' }, use: 'words', what: 'the page' },
  ]
  const visit = (block: Block) => {
    if (block.hidden) return
    for (const one of coloursByLook(block, site)) found.push({ ...one, block: block.id })
    for (const one of coloursOfBlock(block)) found.push({ ...one, block: block.id })
    if (isContainer(block)) block.children.forEach(visit)
  }
  dressedPage(site, page).sections.forEach(visit)
  return found
}

/** A rule of a colour role that a page breaks: which, by what, in a sentence. */
export type BrokenRule = { role: string; sentence: string; blocks: string[] }

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
        role,
        blocks,
        sentence: `${role} is meant for ${only.map((one) => USE_WORDS[one]).join(' and ')} only, and ${others.length} ${others.length === 1 ? 'place uses' : 'places use'} it for ${kinds.join(' and ')}.`,
      },
    ]
  })
}
