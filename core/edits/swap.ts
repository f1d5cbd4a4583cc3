import { produce } from 'immer'
import { z } from 'zod'
import { type Section, sectionSchema } from '#core/blocks/index'
import { type Site } from '#core/site/schema'
import { EditError, type EditKind } from './edit'
import { placeOf } from './places'

const schema = z.strictObject({ kind: z.literal('swap'), section: sectionSchema })
export type SwapEdit = z.infer<typeof schema>

/** A section in the place of the one that has its id. */
export function withSection(site: Site, section: Section): { site: Site; old: Section } {
  const place = placeOf(site, section.id)
  if (place.block.kind !== 'section') throw new EditError(`“${section.id}” is a ${place.block.kind}, not a section.`)
  const index = place.path[0]!
  const next = produce(site, (draft) => void (draft.pages[place.page]!.sections[index] = section))
  return { site: next, old: place.block }
}

/** Puts a whole section, with all that it holds, in the place of its earlier self. */
export const swapEdit: EditKind<SwapEdit> = {
  kind: 'swap',
  schema,
  label: () => 'section',
  apply(site, edit) {
    const { site: next, old } = withSection(site, edit.section)
    return { site: next, inverse: { kind: 'swap', section: old } }
  },
  sample(site, choose) {
    const section = choose.one(site.pages.flatMap((page) => page.sections))
    return { kind: 'swap', section: { ...section, children: section.children.slice(choose.number(3)) } }
  },
}
