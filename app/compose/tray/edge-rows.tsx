import type { PropertyValue } from '#core/style/registry'
import { ColourField } from '../../fields/colour-field'
import { Row } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'
import { ListField } from '../../ui/list-field'
import { NumberField } from '../../ui/number-field'
import { ChoiceOf, ColourRow, MIXED, NumberOf } from './fields'

const SIDES = [
  { value: 'all', label: 'All sides' },
  { value: 'top', label: 'Top' },
  { value: 'bottom', label: 'Bottom' },
  { value: 'left', label: 'Left' },
  { value: 'right', label: 'Right' },
  { value: 'top-bottom', label: 'Top, bottom' },
] as const
const LINES = [
  { value: 'solid', label: 'Solid' },
  { value: 'dashed', label: 'Dashed' },
  { value: 'dotted', label: 'Dotted' },
  { value: 'double', label: 'Double' },
] as const

/** A new outline: a hair inside, as a passe-partout has it. */
const OUTLINE: PropertyValue<'outline'> = { width: 1, offset: -12, colour: { role: 'ground' } }

/** The edge of a box, on all sides or side by side, and the outline at a distance from it. */
export function EdgeRows({ style }: { style: StyleAccess }) {
  const outline = style.get('outline')
  return (
    <>
      {style.has('edgeWidth') && (
        <Row label="Edge" style={style} names={['edgeWidth', 'edgeSides']}>
          <NumberOf style={style} name="edgeWidth" unit="px" placeholder="none" least={0} most={60} />
          {style.has('edgeSides') && <ChoiceOf style={style} name="edgeSides" options={SIDES} fallback="all" />}
        </Row>
      )}
      {style.has('edgeWidths') && (
        <Row label="Each side" style={style} names={['edgeWidths']}>
          <ListField
            label="Edges side by side"
            takes="four figures in px, from the top clockwise: 1 0 2 0"
            placeholder={style.isMixed('edgeWidths') ? MIXED : 'All alike'}
            text={style.get('edgeWidths')?.join(' ') ?? ''}
            onChange={(text) => {
              const edgeWidths = text === '' ? null : text.split(/[\s,]+/).map(Number)
              const fits = edgeWidths === null || (edgeWidths.length === 4 && edgeWidths.every((one) => one >= 0 && one <= 60))
              if (fits) style.set({ edgeWidths })
              return fits
            }}
          />
        </Row>
      )}
      {style.has('edgeLine') && (style.get('edgeWidth') ?? style.get('edgeWidths')) !== undefined && (
        <Row label="Its line" style={style} names={['edgeLine']}>
          <ChoiceOf style={style} name="edgeLine" options={LINES} fallback="solid" />
        </Row>
      )}
      <ColourRow style={style} name="edgeColour" label="Its colour" />
      {style.has('outline') && (
        <Row label="Outline" style={style} names={['outline']}>
          <NumberField
            className="w-[84px]"
            label="Width of the outline"
            unit="px"
            placeholder={style.isMixed('outline') ? MIXED : 'None'}
            value={outline?.width ?? null}
            least={0.5}
            most={60}
            onClear={() => style.set({ outline: null })}
            onChange={(width) => style.set({ outline: { ...OUTLINE, ...outline, width } })}
          />
          {outline && (
            <>
              <NumberField
                className="w-[68px]"
                label="Distance of the outline, inside below nought"
                unit="px"
                value={outline.offset}
                least={-200}
                most={200}
                onChange={(offset) => style.set({ outline: { ...outline, offset } })}
              />
              <ColourField
                label="Colour of the outline"
                value={outline.colour}
                onChange={(colour, gesture) => style.set({ outline: colour && { ...outline, colour } }, gesture)}
              />
            </>
          )}
        </Row>
      )}
    </>
  )
}
