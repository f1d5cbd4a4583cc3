import { z } from 'zod'

/** A language, as a BCP 47 tag: `en`, `de-CH`. */
export const languageSchema = z
  .string()
  .regex(/^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$/, 'A language is written as a tag, as in “en” or “de-CH”.')
  .max(40)

/** One value for each language that it is written in. */
export const byLanguage = <T extends z.ZodType>(value: T) => z.record(languageSchema, value)
