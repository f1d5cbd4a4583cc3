/** Every kind of block. A section is the outermost; groups, lists, navs and forms hold others. */
export const BLOCK_KINDS = [
  'section',
  'group',
  'eyebrow',
  'heading',
  'text',
  'quote',
  'button',
  'picture',
  'icon',
  'list',
  'item',
  'divider',
  'nav',
  'link',
  'form',
  'field',
] as const

export type BlockKind = (typeof BLOCK_KINDS)[number]

/** Kinds that take words. */
export const WORD_KINDS = ['eyebrow', 'heading', 'text', 'quote', 'button', 'item', 'link', 'field'] as const satisfies BlockKind[]
/** Kinds that hold blocks. */
export const CONTAINER_KINDS = ['section', 'group', 'list', 'nav', 'form'] as const satisfies BlockKind[]

export type WordKind = (typeof WORD_KINDS)[number]
export type ContainerKind = (typeof CONTAINER_KINDS)[number]
