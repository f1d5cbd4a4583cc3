import type { ReactElement } from 'react'
import { ColourField } from '../fields/colour-field'
import { LengthField } from '../fields/length-field'
import { Choice } from '../ui/choice'
import { NumberField } from '../ui/number-field'
import { Named } from './part'

/** A field under its label: `name` is what it is called on its own, `width` the class of its width. */
type Under<P> = Omit<P, 'label' | 'className'> & { label: string; name?: string; width?: string }

export const NumberIn = ({ label, name = label, width = '', ...rest }: Under<React.ComponentProps<typeof NumberField>>) => (
  <Named label={label} className={width}>
    <NumberField label={name} {...rest} />
  </Named>
)

export const LengthIn = ({ label, name = label, width = '', ...rest }: Under<React.ComponentProps<typeof LengthField>>) => (
  <Named label={label} className={width}>
    <LengthField label={name} {...rest} />
  </Named>
)

export const ColourIn = ({
  label,
  name = label,
  width = 'w-[122px]',
  ...rest
}: Under<React.ComponentProps<typeof ColourField>>) => (
  <Named label={label} className={width}>
    <ColourField label={name} {...rest} />
  </Named>
)

type ChoiceProps<V extends string> = Parameters<typeof Choice<V>>[0]

export const ChoiceIn = <V extends string>({ label, name = label, width = '', ...rest }: Under<ChoiceProps<V>>): ReactElement => (
  <Named label={label} className={width}>
    <Choice className="flex-1" label={name} {...(rest as Omit<ChoiceProps<V>, 'label'>)} />
  </Named>
)
