import type { StyleValues } from '#core/style/registry'
import { Row } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'
import { Choice } from '../../ui/choice'
import { MIXED } from './fields'

type Option = { value: NonNullable<StyleValues['reach']>; label: string }

/** No reach of its own: the columns that the block takes, or, for a section, those of the page. */
const OWN = 'columns'

const OF_BLOCK: readonly Option[] = [
  { value: OWN, label: 'Its columns' },
  { value: 'narrow', label: 'Narrow, in the middle' },
  { value: 'container', label: 'All columns' },
  { value: 'full', label: 'Edge to edge' },
  { value: 'left', label: 'To the left edge' },
  { value: 'right', label: 'To the right edge' },
]
const OF_SECTION: readonly Option[] = [
  { value: OWN, label: 'Container' },
  { value: 'full', label: 'Full width' },
]

/** How far a block of a section reaches, or how wide the columns of a section are. */
export function ReachRow({ style }: { style: StyleAccess }) {
  const { places } = style
  const sections = places.filter((one) => one.ancestors.length === 0).length
  if (!style.has('reach') || (sections !== 0 && sections !== places.length)) return null
  // In a group there is no edge of the window to reach; where it is set all the same, the reason is said.
  if (sections === 0 && !places.every((one) => one.ancestors.length === 1) && style.get('reach') === undefined) return null
  const mixed = style.isMixed('reach')
  return (
    <Row label={sections > 0 ? 'Columns' : 'Reaches'} style={style} names={['reach']}>
      <Choice
        className="flex-1"
        label="Reaches"
        placeholder={mixed ? MIXED : undefined}
        value={mixed ? null : (style.get('reach') ?? OWN)}
        options={sections > 0 ? OF_SECTION : OF_BLOCK}
        onChange={(value) => style.set({ reach: value === OWN && style.scope === 'base' ? null : value })}
      />
    </Row>
  )
}
