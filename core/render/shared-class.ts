import type { Block } from '#core/site/schema'
import { BAND } from './shared-rules'

/** The class that a block shares with others of its type role or kind of button. */
export function sharedClass(block: Block): string {
  switch (block.kind) {
    case 'section':
      return BAND
    case 'heading':
      return block.type ?? `heading-${Math.min(block.level, 4)}`
    case 'eyebrow':
      return block.type ?? 'eyebrow'
    case 'button':
      return `button-${block.look}`
    case 'quote':
      return block.type ?? 'quote'
    case 'group':
      return block.look === undefined ? '' : block.look === 'table' ? 'table' : `card-${block.look}`
    case 'text':
    case 'item':
    case 'link':
      return block.type ?? ''
    default:
      return ''
  }
}
