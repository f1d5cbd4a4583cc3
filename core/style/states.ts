/**
 * The states of a block that are not its rest, in the order in which one goes over the other. `group` is that the
 * pointer or the focus is in the card or group that the block stands in.
 */
export const BLOCK_STATES = ['group', 'hover', 'focus', 'pressed', 'current', 'disabled'] as const
export type BlockState = (typeof BLOCK_STATES)[number]

/** What each state is called in the interface. */
export const STATE_NAMES: Record<BlockState, string> = {
  group: 'With its group',
  hover: 'Hover',
  focus: 'Focus',
  pressed: 'Pressed',
  current: 'Current',
  disabled: 'Disabled',
}
