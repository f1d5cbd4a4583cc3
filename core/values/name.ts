import { z } from 'zod'

/** A name of a role or token: lower case words joined by hyphens, so that it can stand in a CSS custom property. */
export const nameSchema = z
  .string()
  .regex(/^[a-z][a-z0-9]*(-[a-z0-9]+)*$/)
  .max(40)
