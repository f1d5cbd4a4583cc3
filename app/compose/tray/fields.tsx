import { properties, type PropertyName, propertyOf, type PropertyValue } from '#core/style/registry'
import type { Length } from '#core/values/length'
import { Choice, type Option } from '../../ui/choice'
import { NumberField } from '../../ui/number-field'
import { ColourField } from '../../fields/colour-field'
import { LengthField, type LengthOptions } from '../../fields/length-field'
import { Row } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'

/** Properties whose values are of one type. */
type Named<T> = { [N in PropertyName]: PropertyValue<N> extends T ? N : never }[PropertyName]
type Of<N extends PropertyName> = { style: StyleAccess; name: N; placeholder?: string }

/** Stands in fields of several blocks that differ. */
export const MIXED = 'mixed'
/** What a field shows: the value that all have, or a fallback; nothing where they differ, which is said instead. */
const shown = <N extends PropertyName, F>({ style, name, placeholder }: Of<N>, fallback: F) =>
  style.isMixed(name) ? { value: undefined, placeholder: MIXED } : { value: style.get(name) ?? fallback, placeholder }

/** A length property of the selected block, under the name that the registry gives it. */
export function LengthOf({
  style,
  name,
  placeholder,
  fallback,
  ...options
}: Of<Named<Length>> & LengthOptions & { fallback?: Length }) {
  return (
    <LengthField
      label={properties[name].label}
      {...leastOf(name)}
      {...shown({ style, name, placeholder }, fallback)}
      onChange={(value) => style.set({ [name]: value })}
      {...options}
    />
  )
}

const leastOf = (name: PropertyName) => {
  const { least } = propertyOf(name)
  return least === undefined ? {} : { least }
}

/** A property that is one of several words. */
export function ChoiceOf<N extends Named<string>>({
  style,
  name,
  placeholder,
  options,
  fallback,
}: Of<N> & { options: readonly Option<PropertyValue<N>>[]; fallback?: PropertyValue<N> }) {
  const now = shown({ style, name, placeholder }, fallback)
  return (
    <Choice
      className="flex-1"
      label={properties[name].label}
      placeholder={now.placeholder}
      value={now.value ?? null}
      options={options}
      onChange={(value) => style.set({ [name]: value })}
    />
  )
}

/** A property that is so or not, as a button that stays down. */
export function ToggleOf({ style, name, children }: { style: StyleAccess; name: Named<boolean>; children: string }) {
  const on = style.get(name) ?? false
  return (
    <button
      type="button"
      aria-pressed={style.isMixed(name) ? 'mixed' : on}
      className="h-[26px] flex-1 rounded-2 border border-line-strong bg-field aria-pressed:bg-ink aria-pressed:text-on-ink"
      onClick={() => style.set({ [name]: !on })}
    >
      {children}
    </button>
  )
}

type NumberOptions = Pick<
  React.ComponentProps<typeof NumberField>,
  'unit' | 'prefix' | 'least' | 'most' | 'step' | 'whole' | 'className'
>

/** A property that is a figure; emptying the field takes it away. */
export function NumberOf({
  style,
  name,
  placeholder,
  fallback,
  className = 'flex-1',
  ...options
}: Of<Named<number>> & NumberOptions & { fallback?: number }) {
  const now = shown({ style, name, placeholder }, fallback)
  return (
    <NumberField
      className={className}
      label={properties[name].label}
      placeholder={now.placeholder}
      value={now.value ?? null}
      onClear={() => style.set({ [name]: null })}
      onChange={(value) => style.set({ [name]: value })}
      {...options}
    />
  )
}

/** A line of the tray with a colour property, where the block has it. */
export function ColourRow({ style, name, label = properties[name].label }: Of<'ink' | 'fill' | 'edgeColour'> & { label?: string }) {
  if (!style.has(name)) return null
  return (
    <Row label={label} style={style} names={[name]}>
      <ColourField
        label={properties[name].label}
        placeholder={style.isMixed(name) ? MIXED : undefined}
        value={style.get(name)}
        onChange={(value, gesture) => style.set({ [name]: value }, gesture)}
      />
    </Row>
  )
}
