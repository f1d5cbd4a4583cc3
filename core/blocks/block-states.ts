import { BLOCK_STATES, type BlockState } from '#core/style/states'
import type { Block } from './index'
import { isContainer } from './tree'

/** The card or group that a block answers to, of those around it: the innermost entry or card, or else the innermost group. */
export function answersTo(ancestors: readonly Block[]): Block | undefined {
  const groups = ancestors.filter((one) => one.kind === 'group')
  return groups.findLast((one) => one.entry || one.look !== undefined || one.element === 'article') ?? groups.at(-1)
}

/** The states that a block can be in. @param ancestors what it stands in, the outermost first */
export function statesFor(block: Block, ancestors: readonly Block[]): BlockState[] {
  const pressed = block.kind === 'button' || block.kind === 'link' || (block.kind === 'picture' && block.link !== undefined)
  const can: Record<BlockState, boolean> = {
    group: answersTo(ancestors) !== undefined,
    hover: true,
    focus: pressed || block.kind === 'field' || block.kind === 'group',
    pressed: pressed || block.kind === 'group',
    current: block.kind === 'link' || (block.kind === 'button' && block.press !== undefined && 'shows' in block.press),
    disabled: (block.kind === 'button' && !block.link) || block.kind === 'field',
  }
  return BLOCK_STATES.filter((state) => can[state])
}

/** True if some block inside changes with this one. @param ancestors what it stands in, the outermost first */
export function isAnswered(block: Block, ancestors: readonly Block[]): boolean {
  if (block.kind !== 'group') return false
  const look = (one: Block, around: readonly Block[]): boolean =>
    isContainer(one) &&
    one.children.some(
      (child) => (child.style.group !== undefined && answersTo([...around, one]) === block) || look(child, [...around, one]),
    )
  return look(block, ancestors)
}
