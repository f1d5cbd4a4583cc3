import type { Block } from '#core/blocks/index'
import type { Motion } from '#core/motion/motion'
import { currentOf } from '#core/site/directions'
import { valuesIn, ofWidths } from '#core/style/registry'
import { edit, type SessionStore } from '../../session/store'

/** Sets the motions of a block in the range of widths that is edited; none takes them away. */
export function setMotions(store: SessionStore, block: Block, motions: readonly Motion[], gesture?: string): void {
  const { scope: asked, session, onlyHere } = store.getState()
  // Motion is of a block, whatever state it is in.
  const scope = ofWidths(asked)
  const direction = currentOf(session.site)
  const over = direction.restyled[block.id]
  const alone = onlyHere || (over && valuesIn(over, scope)?.motion !== undefined)
  const motion = motions.length > 0 ? [...motions] : scope === 'base' ? null : ('none' as const)
  edit(store, { kind: 'style', block: block.id, scope, values: { motion }, ...(alone ? { direction: direction.id } : {}) }, gesture)
}
