import { z } from 'zod'
import { idSchema } from '#core/values/ids'
import { motion } from './motion'
import { picture } from './picture'
import { place } from './place'
import type { Property } from './property'
import { surface } from './surface'
import { type } from './type'

/** Every style property there is: its schema, where it applies, and its CSS. */
export const properties = { ...place, ...type, ...surface, ...picture, ...motion }

export type PropertyName = keyof typeof properties
type Values = { [N in PropertyName]: z.output<(typeof properties)[N]['schema']> }
export type PropertyValue<N extends PropertyName> = Values[N]

/** Values of some properties; one that is absent is not set. */
export type StyleValues = Partial<Values>

export const propertyNames = Object.keys(properties) as PropertyName[]

/** A property without the type of its own value, for code that treats all of them alike. */
export const propertyOf = (name: PropertyName) => properties[name] as Property<z.ZodType>

const shape = Object.fromEntries(propertyNames.map((name) => [name, properties[name].schema.optional()]))
export const styleValuesSchema = z.strictObject(shape).meta({ id: 'StyleValues' }) as unknown as z.ZodType<StyleValues>

/** A block's style: the base, exceptions by breakpoint id, and what differs on hover. */
export const styleSchema = z
  .strictObject({
    base: styleValuesSchema.optional(),
    below: z.record(idSchema, styleValuesSchema).optional(),
    hover: styleValuesSchema.optional(),
  })
  .meta({ id: 'Style' })

export type Style = z.infer<typeof styleSchema>

/** Where a value is set: for all widths, below one breakpoint, or on hover. */
export const scopeSchema = z.union([z.literal('base'), z.literal('hover'), z.strictObject({ below: idSchema })])
export type Scope = z.infer<typeof scopeSchema>

/** The values set in one scope. */
export function valuesIn(style: Style, scope: Scope): StyleValues | undefined {
  if (scope === 'base') return style.base
  if (scope === 'hover') return style.hover
  return style.below?.[scope.below]
}
