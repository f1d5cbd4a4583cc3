import { z } from 'zod'
import { sectionSchema } from '#core/blocks/index'
import { breakpointsSchema } from '#core/grid/breakpoint'
import { styleGuideSchema } from '#core/guide/style-guide'
import { pictureSchema } from '#core/picture/picture'
import { ownFontSchema } from '#core/type/own-font'
import { idSchema } from '#core/values/ids'
import { byLanguage, languageSchema } from '#core/values/language'
import { aboutSchema } from './about'
import { addressSchema } from './address'
import { boardCardSchema } from './board'
import { pageBriefSchema, siteBriefSchema } from './brief'
import { directionsSchema } from './directions'
import { excuseSchema, MOST_EXCUSES } from './excuse'
import { launchSchema } from './launch'
import { linkedFileSchema, MOST_FILES } from './linked-file'
import { unplacedSchema } from './passage'
import { type SharedBlock, sharedSchema } from './shared'
import { travelSchema } from './travel'

export const FILE_FORMAT = 'yarrowfinch-site'
/** Version of the file format. A file with a higher one is refused by name; see `upgrade.ts` for lower ones. */
export const FILE_VERSION = 6

export const pageSchema = z.strictObject({
  id: idSchema,
  name: z.string().trim().min(1).max(120),
  address: addressSchema,
  title: byLanguage(z.string().max(200)),
  description: byLanguage(z.string().max(500)),
  /** True for a page that navigation blocks leave out, as a confirmation. */
  unlisted: z.boolean().optional(),
  /** True for a page that search engines are asked to leave out. */
  unsearched: z.boolean().optional(),
  /** The picture that links to the page are shown with. */
  share: idSchema.optional(),
  about: aboutSchema.optional(),
  brief: pageBriefSchema,
  sections: z.array(sectionSchema).max(200),
})
export type Page = z.infer<typeof pageSchema>

export const siteSchema = z.strictObject({
  format: z.literal(FILE_FORMAT),
  version: z.literal(FILE_VERSION),
  name: z.string().trim().min(1, 'A site needs a name.').max(120),
  /** The language that words are first written in; a BCP 47 tag. */
  language: languageSchema,
  breakpoints: breakpointsSchema,
  /** Widths of the views, px. */
  views: z.array(z.int().min(240).max(3840)).min(1).max(6),
  /** The style guide of the current direction. */
  guide: styleGuideSchema,
  directions: directionsSchema,
  /** Fonts that were uploaded. */
  fonts: z.array(ownFontSchema).max(40),
  pictures: z.array(pictureSchema).max(2000),
  pages: z.array(pageSchema).min(1).max(200),
  travel: travelSchema.optional(),
  launch: launchSchema.optional(),
  /** Files that links lead to. */
  files: z.array(linkedFileSchema).max(MOST_FILES).optional(),
  /** Findings that are said to be no faults. */
  excuses: z.array(excuseSchema).max(MOST_EXCUSES).optional(),
  /** Blocks that are defined once and placed many times. */
  shared: z.array(sharedSchema as z.ZodType<SharedBlock>).max(200),
  brief: siteBriefSchema,
  /** Words of the copy deck that stand on no page, in the order of the deck. */
  unplaced: z.array(unplacedSchema).max(5000),
  /** The references board. */
  board: z.array(boardCardSchema).max(500),
})
export type Site = z.infer<typeof siteSchema>
