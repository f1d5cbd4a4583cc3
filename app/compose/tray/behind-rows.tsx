import { ColourField } from '../../fields/colour-field'
import { Row } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'
import { MIXED } from './fields'
import { FilterRows } from './filter-rows'

/**
 * What a box does to a picture that lies behind it: inside, where the picture goes on at the same scale and place, and all
 * around, so that it stands out of it as through a window.
 */
export function BehindRows({ style }: { style: StyleAccess }) {
  if (!style.has('behind')) return null
  return (
    <>
      <FilterRows style={style} name="behind" title="What is behind it" what=" of what is behind" />
      <Row label="All around" style={style} names={['around']}>
        <ColourField
          label="Scrim around it"
          placeholder={style.isMixed('around') ? MIXED : 'No scrim'}
          value={style.get('around')}
          onChange={(around, gesture) => style.set({ around }, gesture)}
        />
      </Row>
    </>
  )
}
