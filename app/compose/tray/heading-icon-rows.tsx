import type { HeadingIcon } from '#core/style/heading-icon'
import { ColourField } from '../../fields/colour-field'
import { IconFinder } from '../../fields/icon-finder'
import { Row } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'
import { Choice } from '../../ui/choice'
import { NumberField } from '../../ui/number-field'
import { MIXED } from './fields'

const PLACES = [
  { value: 'none', label: 'None' },
  { value: 'before', label: 'Before the words' },
  { value: 'above', label: 'Above the words' },
  { value: 'after', label: 'After the words' },
] as const

const FIRST: Omit<HeadingIcon, 'place'> = {
  icon: { name: 'disc', nodes: [['circle', { cx: '12', cy: '12', r: '9' }]] },
  size: 24,
  gap: 12,
}

/** An icon beside or above the words, and how far from them: also less than nought. */
export function HeadingIconRows({ style }: { style: StyleAccess }) {
  if (!style.has('icon')) return null
  const icon = style.get('icon')
  const set = (changes: Partial<HeadingIcon>) => icon && style.set({ icon: { ...icon, ...changes } })
  return (
    <>
      <Row label="Icon" style={style} names={['icon']}>
        <Choice
          className="flex-1"
          label="Icon"
          placeholder={style.isMixed('icon') ? MIXED : undefined}
          value={style.isMixed('icon') ? null : (icon?.place ?? 'none')}
          options={PLACES}
          onChange={(place) => style.set({ icon: place === 'none' ? null : { ...FIRST, ...icon, place } })}
        />
      </Row>
      {icon && (
        <>
          <Row label="Size, gap">
            <NumberField
              className="flex-1"
              label="Size of the icon"
              unit="px"
              value={icon.size}
              least={8}
              most={200}
              onChange={(size) => set({ size })}
            />
            <NumberField
              className="flex-1"
              label="Gap from the icon"
              unit="px"
              value={icon.gap}
              least={-100}
              most={200}
              onChange={(gap) => set({ gap })}
            />
          </Row>
          <Row label="Its colour">
            <ColourField
              label="Colour of the icon"
              placeholder="That of the words"
              value={icon.colour}
              onChange={(colour, gesture) => {
                const { colour: _, ...rest } = icon
                style.set({ icon: colour ? { ...icon, colour } : rest }, gesture)
              }}
            />
          </Row>
          <IconFinder chosen={icon.icon.name} onChoose={(next) => set({ icon: next })} />
        </>
      )}
    </>
  )
}
