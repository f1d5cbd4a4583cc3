/** Every kind of block. A section is the outermost; groups, lists and navs hold others. */
export const BLOCK_KINDS = [
  'section',
  'group',
  'eyebrow',
  'heading',
  'text',
  'button',
  'picture',
  'icon',
  'list',
  'item',
  'divider',
  'nav',
  'link',
] as const

export type BlockKind = (typeof BLOCK_KINDS)[number]

/** Kinds that take words. */
export const WORD_KINDS = ['eyebrow', 'heading', 'text', 'button', 'item', 'link'] as const satisfies BlockKind[]
/** Kinds that hold blocks. */
export const CONTAINER_KINDS = ['section', 'group', 'list', 'nav'] as const satisfies BlockKind[]

export type WordKind = (typeof WORD_KINDS)[number]
export type ContainerKind = (typeof CONTAINER_KINDS)[number]
