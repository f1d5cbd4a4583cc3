import { z } from 'zod'
import { byLanguage } from '#core/values/language'
import { linkSchema } from '#core/values/link'
import { nameSchema } from '#core/values/name'
import { wordsSchema } from '#core/values/words'

/** Fields that several kinds of block have. */
export const words = { words: wordsSchema }
export const link = { link: linkSchema.optional() }
export const typeRole = { type: nameSchema.optional() }
/** What a block is called by those who hear the page. */
export const label = { label: byLanguage(z.string().max(120)).optional() }
