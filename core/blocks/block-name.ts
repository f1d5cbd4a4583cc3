import type { Block } from './index'

/** What a block is called: its own name, a section's job, or its kind. */
export function blockName(block: Block): string {
  if (block.name) return block.name
  const word = block.kind === 'section' ? block.job.replace('-', ' ') : block.kind
  return word[0]!.toUpperCase() + word.slice(1)
}
