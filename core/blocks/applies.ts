import { type PropertyName, propertyNames, propertyOf } from '#core/style/registry'
import type { TrayColumn } from '#core/style/property'
import { type Block, type BlockKind, hasTrait } from './index'

/** True where a block of this kind takes the property. */
export function appliesTo(name: PropertyName, kind: BlockKind): boolean {
  const { applies } = propertyOf(name)
  return applies === 'all' || applies.some((trait) => hasTrait(kind, trait))
}

/** The tray columns that a kind of block has settings for. */
export function hasColumn(column: TrayColumn, kind: BlockKind): boolean {
  return propertyNames.some((name) => propertyOf(name).column === column && appliesTo(name, kind))
}

/** True for blocks whose box has an edge, a fill or corners of the style guide: buttons, fields, cards. */
export const hasBoxOfGuide = (block: Block): boolean =>
  block.kind === 'button' || block.kind === 'field' || (block.kind === 'group' && block.look !== undefined)
