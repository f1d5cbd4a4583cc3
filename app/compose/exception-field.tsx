import { z } from 'zod'
import { type PropertyName, propertyOf } from '#core/style/registry'
import { type Length, lengthSchema } from '#core/values/length'
import { valueInWords } from '../fields/value-in-words'
import { LengthField } from '../fields/length-field'
import { Choice } from '../ui/choice'
import { NumberField } from '../ui/number-field'

type ExceptionFieldProps = {
  property: PropertyName
  label: string
  /** What is set in the cell's own range, and what holds there. */
  own: unknown
  holds: unknown
  onChange: (value: unknown) => void
}

/** True for a property whose values can be typed or chosen in one field. */
export const hasOneField = (property: PropertyName): boolean => {
  const { schema } = propertyOf(property)
  return schema === lengthSchema || schema instanceof z.ZodNumber || schema instanceof z.ZodEnum
}

/** A value of the table of exceptions, to type or choose: what stands pale in it comes from a wider range. */
export function ExceptionField({ property, label, own, holds, onChange }: ExceptionFieldProps) {
  const { schema, measures, least } = propertyOf(property)
  if (schema === lengthSchema) {
    const tokens = measures === 'space' ? 'spaces' : measures === 'corner' ? 'corners' : undefined
    return (
      <LengthField
        label={label}
        value={own as Length | undefined}
        placeholder={holds === undefined ? '—' : valueInWords(holds)}
        {...(tokens ? { tokens } : {})}
        {...(least === undefined ? {} : { least })}
        onChange={(value) => onChange(value ?? undefined)}
      />
    )
  }
  if (schema instanceof z.ZodEnum)
    return (
      <Choice
        className="w-full"
        label={label}
        value={(own as string | undefined) ?? null}
        placeholder={typeof holds === 'string' ? holds : '—'}
        options={schema.options.map((one) => ({ value: String(one), label: String(one) }))}
        onChange={onChange}
      />
    )
  const { minValue, maxValue, format } = schema as z.ZodNumber
  return (
    <NumberField
      label={label}
      value={(own as number | undefined) ?? null}
      placeholder={typeof holds === 'number' ? String(holds) : '—'}
      whole={format === 'safeint'}
      {...(minValue !== null && Number.isFinite(minValue) ? { least: minValue } : {})}
      {...(maxValue !== null && Number.isFinite(maxValue) ? { most: maxValue } : {})}
      onClear={() => onChange(undefined)}
      onChange={onChange}
    />
  )
}
