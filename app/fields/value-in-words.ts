import { short } from '#core/values/short'
import { lengthInWords } from '#core/style/css-values'
import { lengthSchema } from '#core/values/length'

/** A style value in a few words, for showing what the base has. */
export function valueInWords(value: unknown): string {
  if (value === undefined || value === null) return 'not set'
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (typeof value === 'number') return short(value)
  if (typeof value !== 'object') return String(value)
  const length = lengthSchema.safeParse(value)
  if (length.success) return lengthInWords(length.data)
  if ('role' in value) return String(value.role)
  if ('hex' in value) return String(value.hex)
  if ('x' in value && 'y' in value) return `${short(Number(value.x))} %, ${short(Number(value.y))} %`
  if ('width' in value && 'height' in value) return `${String(value.width)} : ${String(value.height)}`
  return 'set'
}
