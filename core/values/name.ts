import { z } from 'zod'
import { isFreeKey } from './ids'

/** A name of a role or token: lower case words joined by hyphens, so that it can stand in a CSS custom property. */
export const nameSchema = z
  .string()
  .regex(/^[a-z][a-z0-9]*(-[a-z0-9]+)*$/, 'A name has lower case letters and figures, joined by hyphens, and starts with a letter.')
  .max(40)
  .refine(isFreeKey, 'This name is one that every object of JavaScript has. Choose another.')
