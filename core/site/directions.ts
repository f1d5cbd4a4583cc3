import { z } from 'zod'
import { type Style, styleSchema, statesOfStyle } from '#core/style/registry'
import { idSchema } from '#core/values/ids'
import type { Block } from '#core/blocks/index'
import type { Page, Site } from './schema'
import { withSections } from './tree'
import { styleGuideSchema } from '#core/guide/style-guide'

/** A style for the same pages, kept beside others. The guide of the one that is current is the site's own. */
export const directionSchema = z.strictObject({
  id: idSchema,
  name: z.string().trim().min(1).max(80),
  note: z.string().max(4000),
  /** Pictures of the site that set its mood, by id. */
  mood: z.array(idSchema).max(24),
  guide: styleGuideSchema.optional(),
  /** Styles of single blocks that hold in this direction only, over their own. */
  restyled: z.record(idSchema, styleSchema),
})
export type Direction = z.infer<typeof directionSchema>

/** Directions of a site: exactly one is current, and has no guide of its own. */
export const directionsSchema = z
  .array(directionSchema)
  .min(1)
  .max(24)
  .refine((list) => list.filter((one) => !one.guide).length === 1, 'One direction is current: it alone has no guide of its own.')

export const currentOf = ({ directions }: Pick<Site, 'directions'>): Direction => directions.find((one) => !one.guide)!

/** The guide of a direction. */
export const guideOf = (site: Site, id: string): Site['guide'] => site.directions.find((one) => one.id === id)?.guide ?? site.guide

const asShown = new WeakMap<Direction, { site: Site; shown: Site }>()

/** A site as another of its directions shows it: with that one current. The same object for the same site. */
export function inDirection(site: Site, id: string): Site {
  const chosen = site.directions.find((one) => one.id === id)
  if (!chosen?.guide) return site
  const known = asShown.get(chosen)
  if (known?.site === site) return known.shown
  const { guide, ...rest } = chosen
  const directions = site.directions.map((one) => (one === chosen ? rest : one.guide ? one : { ...one, guide: site.guide }))
  const shown = { ...site, guide, directions }
  asShown.set(chosen, { site, shown })
  return shown
}

/** One style laid over another: what the upper one sets, it sets in the same scope. */
export function overlaid(under: Style, over: Style): Style {
  const below: NonNullable<Style['below']> = { ...under.below }
  for (const [id, values] of Object.entries(over.below ?? {})) below[id] = { ...below[id], ...values }
  return {
    ...under,
    ...(over.base ? { base: { ...under.base, ...over.base } } : {}),
    ...Object.fromEntries(statesOfStyle(over).map(([state, values]) => [state, { ...under[state], ...values }])),
    ...(Object.keys(below).length > 0 ? { below } : {}),
  }
}

type Known = { over: Style | undefined; result: Block }
const blocks = new WeakMap<Direction['restyled'], WeakMap<Block, Known>>()

function dressedBlock<B extends Block>(block: B, restyled: Direction['restyled'], memory: WeakMap<Block, Known>): B {
  const over = restyled[block.id]
  const known = memory.get(block)
  if (known && known.over === over) return known.result as B
  let result: Block = over ? { ...block, style: overlaid(block.style, over) } : block
  if ('children' in result) {
    const { children } = result
    const next = children.map((child) => dressedBlock(child, restyled, memory))
    if (next.some((child, i) => child !== children[i])) result = { ...result, children: next } as Block
  }
  memory.set(block, { over, result })
  return result as B
}

const sites = new WeakMap<Site, Site>()

/**
 * A site with the blocks that its current direction restyles. What is not restyled stays the same object, so that
 * what was printed of it is still known.
 */
export function restyledSite(site: Site): Site {
  const { restyled } = currentOf(site)
  if (Object.keys(restyled).length === 0) return site
  const known = sites.get(site)
  if (known) return known
  let memory = blocks.get(restyled)
  if (!memory) blocks.set(restyled, (memory = new WeakMap()))
  const result = withSections(site, (section) => dressedBlock(section, restyled, memory))
  sites.set(site, result)
  return result
}

/** A page with the blocks that the current direction restyles. */
export const restyledPage = (site: Site, page: Page): Page => {
  const shown = restyledSite(site)
  return shown === site ? page : (shown.pages.find((one) => one.id === page.id) ?? page)
}
