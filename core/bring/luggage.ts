import { z } from 'zod'
import type { Block } from '#core/blocks/index'
import { siteSchema, type Site } from '#core/site/schema'
import { ownFamilyId } from '#core/type/families'
import { referencesIn } from './references'

const { language, breakpoints, guide, fonts, pictures, files, shared } = siteSchema.shape

/** What blocks need of the site that they were copied from, so that they are the same in another. */
export const luggageSchema = z.strictObject({
  /** The site's id on its server. */
  site: z.string().max(40),
  language,
  breakpoints,
  guide,
  fonts,
  pictures,
  files: files.unwrap(),
  shared,
})
export type Luggage = z.infer<typeof luggageSchema>

/** What blocks of a site need of it. */
export function luggageOf(site: Site, id: string, blocks: readonly Block[]): Luggage {
  const copied = referencesIn(blocks).get('shared')
  const shared = site.shared.filter((one) => copied?.has(one.id))
  const named = referencesIn([blocks, shared])
  const families = new Set(site.guide.faces.map((one) => one.family))
  return {
    site: id,
    language: site.language,
    breakpoints: site.breakpoints,
    guide: site.guide,
    fonts: site.fonts.filter((one) => families.has(ownFamilyId(one))),
    pictures: site.pictures.filter((one) => named.get('picture')?.has(one.id)),
    files: (site.files ?? []).filter((one) => named.get('file')?.has(one.id)),
    shared,
  }
}
