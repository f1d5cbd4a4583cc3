import { type PropertyName, propertyNames, propertyOf } from '#core/style/registry'
import type { TrayColumn } from '#core/style/property'
import { type BlockKind, hasTrait } from './index'

/** True where a block of this kind takes the property. */
export function appliesTo(name: PropertyName, kind: BlockKind): boolean {
  const { applies } = propertyOf(name)
  return applies === 'all' || applies.some((trait) => hasTrait(kind, trait))
}

/** The tray columns that a kind of block has settings for. */
export function hasColumn(column: TrayColumn, kind: BlockKind): boolean {
  return propertyNames.some((name) => propertyOf(name).column === column && appliesTo(name, kind))
}
