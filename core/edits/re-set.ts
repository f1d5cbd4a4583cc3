import { z } from 'zod'
import { arrange } from '#core/arrangements/arrange'
import { carryOver, fillSlots } from '#core/arrangements/fill'
import type { Placeable } from '#core/arrangements/placeable'
import { finishHeader, openNav, withNavLinks } from '#core/arrangements/header-links'
import { link as navLink } from '#core/arrangements/build'
import { ARRANGEMENTS, arrangementOf } from '#core/arrangements/index'
import { deckName, homeOf } from '#core/deck/deck'
import { sameName } from '#core/deck/names'
import { idSchema, type MakeId } from '#core/values/ids'
import type { Unplaced } from '#core/site/passage'
import type { Page, Site } from '#core/site/schema'
import type { Section } from '#core/blocks/index'
import { EditError, type EditKind } from './edit'
import { placeOf } from './places'
import type { Batch } from './batch'
import { wordsToKeep } from './keep-words'
import { type ListEdit, listEdit } from './list'
import { type SwapEdit, withSection } from './swap'

const schema = z.strictObject({
  kind: z.literal('re-set'),
  section: idSchema,
  arrangement: z.string().max(40),
  /** What the ids of the new blocks begin with; every client makes the same out of it. */
  ids: z.string().regex(/^[a-z0-9]{6,16}$/),
})
export type ReSetEdit = z.infer<typeof schema>

/** A maker of ids that begin alike. */
function countedIds(start: string): MakeId {
  let count = 0
  return () => `${start}-${(count++).toString(36)}`
}

/** The unplaced words that a section has a claim to: its own, and those of its page that wait for a section of its name or job. */
export function wordsFor(site: Site, page: Page, section: Section): Unplaced[] {
  return site.unplaced.filter((one) => {
    const home = homeOf(site, one)
    if (home.section) return home.section.id === section.id
    return home.page?.id === page.id && (sameName(one.sectionName, deckName(section)) || sameName(one.sectionName, section.job))
  })
}

export type ReSet = {
  section: Section
  /** Words that found no slot, as they will be unplaced; and those that no longer are. */
  left: Unplaced[]
  placed: string[]
  /** Pictures that found no place and are kept hidden. */
  pictures: number
}

/** What a section becomes in another arrangement: the same words and pictures in other slots. */
export function reSet(site: Site, page: Page, section: Section, arrangementId: string, makeId: MakeId): ReSet {
  const arrangement = arrangementOf(arrangementId)
  if (!arrangement) throw new EditError(`There is no arrangement “${arrangementId}”.`)
  const words = [...wordsToKeep(site, page, section, section), ...wordsFor(site, page, section)]
  const plain = words.map(
    ({ role, entry, words: spans, link, from, ordered, beside }): Placeable & { from?: string | undefined } => ({
      role,
      entry,
      words: spans,
      from,
      ...(link ? { link } : {}),
      ...(ordered ? { ordered } : {}),
      ...(beside ? { beside } : {}),
    }),
  )
  const list = section.job === 'header' ? withNavLinks(plain, section, site) : plain
  const entries = new Set(list.map((one) => one.entry).filter((entry) => entry > 0)).size
  const made = arrange(arrangement, entries, site.breakpoints, makeId)
  if (section.job === 'header') openNav(made, list, () => ({ ...navLink(), id: makeId() }))
  const left = fillSlots(made, list, makeId)
  if (section.job === 'header') finishHeader(made, list, site)
  const pictures = carryOver(section, made, makeId)
  const { fill, ink } = section.style.base ?? {}
  const unfilled = made.style.base?.fill === undefined
  return {
    section: {
      ...made,
      id: section.id,
      job: section.job,
      ...(section.name === undefined ? {} : { name: section.name }),
      ...(section.hidden ? { hidden: true } : {}),
      // A fill is kept with its ink, so that the words stay legible, unless the arrangement has its own.
      style: fill && unfilled ? { ...made.style, base: { ...made.style.base, fill, ...(ink ? { ink } : {}) } } : made.style,
    },
    left: left.map((i) => ({ ...words[i]!, page: page.id, section: section.id })),
    placed: words.filter((_, i) => !left.includes(i)).map((one) => one.id),
    pictures,
  }
}

/** Gives a section another arrangement. Every word and picture is kept; what finds no slot is unplaced. */
export const reSetEdit: EditKind<ReSetEdit, Batch<ListEdit | SwapEdit>> = {
  kind: 're-set',
  schema,
  label: () => 're-set',
  apply(site, edit) {
    const place = placeOf(site, edit.section)
    if (place.block.kind !== 'section') throw new EditError('Only a section has an arrangement.')
    const result = reSet(site, site.pages[place.page]!, place.block, edit.arrangement, countedIds(edit.ids))
    const swapped = withSection(site, result.section)
    const known = new Set(site.unplaced.map((one) => one.id))
    const listed = listEdit.apply(swapped.site, {
      kind: 'list',
      list: 'unplaced',
      drop: result.placed.filter((id) => known.has(id)),
      put: result.left.map((item) => ({ item })),
    })
    return {
      site: listed.site,
      inverse: { kind: 'batch', label: 're-set', edits: [listed.inverse, { kind: 'swap', section: swapped.old }] },
    }
  },
  sample(site, choose) {
    const section = choose.one(site.pages.flatMap((page) => page.sections))
    return { kind: 're-set', section: section.id, arrangement: choose.one(ARRANGEMENTS).id, ids: choose.id() }
  },
}
