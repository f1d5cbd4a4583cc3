import { z } from 'zod'
import { idSchema } from '#core/values/ids'
import { motion } from './motion'
import { picture } from './picture'
import { place } from './place'
import type { Property } from './property'
import { BLOCK_STATES, type BlockState } from './states'
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

const RANKS = new Map(propertyNames.map((name, rank) => [name as string, rank]))

/**
 * Values in the one order that all are printed in, that of the registry: what sets all sides stands before what sets one,
 * in whichever order they were set.
 */
export function inOrder(values: StyleValues): StyleValues {
  let last = -1
  let sorted = true
  for (const name in values) {
    const rank = RANKS.get(name) ?? 0
    if (rank < last) sorted = false
    last = rank
  }
  if (sorted) return values
  return Object.fromEntries(Object.entries(values).sort(([a], [b]) => (RANKS.get(a) ?? 0) - (RANKS.get(b) ?? 0)))
}

/** A property without the type of its own value, for code that treats all of them alike. */
export const propertyOf = (name: PropertyName) => properties[name] as Property<z.ZodType>

const shape = Object.fromEntries(propertyNames.map((name) => [name, properties[name].schema.optional()]))
export const styleValuesSchema = z.strictObject(shape).meta({ id: 'StyleValues' }) as unknown as z.ZodType<StyleValues>

/** A block's style: the base, exceptions by breakpoint id, and what differs in each state. */
export const styleSchema = z
  .strictObject({
    base: styleValuesSchema.optional(),
    below: z.record(idSchema, styleValuesSchema).optional(),
    ...(Object.fromEntries(BLOCK_STATES.map((state) => [state, styleValuesSchema.optional()])) as Record<
      BlockState,
      z.ZodOptional<typeof styleValuesSchema>
    >),
  })
  .meta({ id: 'Style' })

export type Style = z.infer<typeof styleSchema>

/** Where a value is set: for all widths, below one breakpoint, or in a state. */
export const scopeSchema = z.union([z.literal('base'), z.enum(BLOCK_STATES), z.strictObject({ below: idSchema })])
export type Scope = z.infer<typeof scopeSchema>

/** The values set in one scope. */
export function valuesIn(style: Style, scope: Scope): StyleValues | undefined {
  return typeof scope === 'object' ? style.below?.[scope.below] : style[scope]
}

/** True for a scope that is a state. */
export const isState = (scope: Scope): scope is BlockState => typeof scope === 'string' && scope !== 'base'

/** The scope in which what has no states is set: that of the widths. */
export const ofWidths = (scope: Scope): Exclude<Scope, BlockState> => (isState(scope) ? 'base' : scope)

/** The states that a style says something of, each with its values. */
export const statesOfStyle = (style: Style): [BlockState, StyleValues][] =>
  BLOCK_STATES.flatMap((state) => {
    const values = style[state]
    return values ? [[state, inOrder(values)] as [BlockState, StyleValues]] : []
  })
