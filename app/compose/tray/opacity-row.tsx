import { Row } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'
import { NumberField } from '../../ui/number-field'
import { MIXED } from './fields'

/** How opaque blocks are; at rest what is wholly so is said by nothing. */
export const OpacityRow = ({ style }: { style: StyleAccess }) => (
  <Row label="Opacity" style={style} names={['opacity']}>
    <NumberField
      className="flex-1"
      label="Opacity"
      unit="%"
      placeholder={MIXED}
      value={style.isMixed('opacity') ? null : Math.round((style.get('opacity') ?? 1) * 100)}
      least={0}
      most={100}
      step={5}
      onChange={(percent) => style.set({ opacity: percent === 100 && style.scope === 'base' ? null : percent / 100 })}
    />
  </Row>
)
