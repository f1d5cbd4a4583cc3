import { z } from 'zod'
import { DEFAULT_GUIDE } from '#core/site/defaults'
import { type PropertyName, propertyNames, propertyOf } from './registry'

/** A number from 0 to below 1. */
type Random = () => number

const chosen = <T>(list: readonly T[], random: Random): T => list[Math.floor(random() * list.length)]!

/** Names that stand for something in the default guide, by the field that they stand in. */
const NAMES: Record<string, readonly string[]> = {
  role: DEFAULT_GUIDE.colours.map((one) => one.role),
  token: DEFAULT_GUIDE.spaces.map((one) => one.name),
  face: DEFAULT_GUIDE.faces.map((one) => one.name),
}

function numberOf(schema: z.ZodType, random: Random): number {
  if (!(schema instanceof z.ZodNumber)) return 0
  const least = Math.max(schema.minValue ?? -100, -100)
  const most = Math.min(schema.maxValue ?? 200, least + 300)
  const value = least + random() * (most - least)
  return schema.isInt ? Math.round(value) : Number(value.toFixed(2))
}

/** A value that a schema may take, as drawn; it need not be one, where the schema asks for more than its shape. */
function drawn(schema: z.ZodType, random: Random, field: string): unknown {
  const of = (one: unknown, name = field) => drawn(one as z.ZodType, random, name)
  if (schema instanceof z.ZodOptional) return random() < 0.5 ? undefined : of(schema.unwrap())
  if (schema instanceof z.ZodLazy || schema instanceof z.ZodReadonly) return of(schema.unwrap())
  if (schema instanceof z.ZodLiteral) return chosen([...schema.values], random)
  if (schema instanceof z.ZodEnum) return chosen(schema.options, random)
  if (schema instanceof z.ZodUnion) return of(chosen(schema.options, random))
  if (schema instanceof z.ZodBoolean) return random() < 0.5
  if (schema instanceof z.ZodNumber) return numberOf(schema, random)
  if (schema instanceof z.ZodArray) return Array.from({ length: 1 + Math.floor(random() * 3) }, () => of(schema.element))
  if (schema instanceof z.ZodTuple) return (schema.def.items as z.ZodType[]).map((one) => of(one))
  if (schema instanceof z.ZodRecord) return { [chosen(NAMES.role!, random)]: of(schema.valueType) }
  if (schema instanceof z.ZodObject) {
    const fields = Object.entries(schema.shape as Record<string, z.ZodType>).map(([name, one]) => [name, of(one, name)] as const)
    return Object.fromEntries(fields.filter(([, value]) => value !== undefined))
  }
  if (!(schema instanceof z.ZodString)) return undefined
  return field === 'hex'
    ? `#${Math.floor(random() * 0xffffff)
        .toString(16)
        .padStart(6, '0')}`
    : chosen(NAMES[field] ?? ['a-name'], random)
}

/** Draws that are tried before a property is left alone. */
const TRIES = 12

/** Any value of a property; `undefined` for one that is not found by its shape alone, as a curve that is typed. */
export function anyValue(name: PropertyName, random: Random): unknown {
  const { schema } = propertyOf(name)
  for (let n = 0; n < TRIES; n++) {
    const read = schema.safeParse(drawn(schema, random, name))
    if (read.success) return read.data
  }
  return undefined
}

/** Any of some properties with any value. */
export function anySetting(random: Random, names: readonly PropertyName[] = propertyNames): { name: PropertyName; value: unknown } {
  for (;;) {
    const name = chosen(names, random)
    const value = anyValue(name, random)
    if (value !== undefined) return { name, value }
  }
}
