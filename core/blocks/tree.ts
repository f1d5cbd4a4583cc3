import { plainText } from '#core/values/words'
import type { Block, Container, WordBlock } from './index'

/** True for blocks that hold others. */
export const isContainer = (block: Block): block is Container => 'children' in block

/** True for blocks that take words. */
export const hasWords = (block: Block): block is WordBlock => 'words' in block

/** True for a block that a published page leaves out, since it has no words in its language; a field has its box. */
export const isWordless = (block: Block, language: string): boolean =>
  hasWords(block) && block.kind !== 'field' && plainText(block.words[language] ?? []).trim() === ''

/** A block and all that it holds, in reading order. */
export function* walk(block: Block): Generator<Block> {
  yield block
  if (isContainer(block)) for (const child of block.children) yield* walk(child)
}

/** A block with what it directly holds changed; the same object if nothing of that is. */
export function withChildren<B extends Block>(block: B, change: (child: Block) => Block): B {
  if (!isContainer(block)) return block
  const held: readonly Block[] = block.children
  const children = held.map(change)
  return children.every((one, i) => one === held[i]) ? block : ({ ...(block as Container), children } as unknown as B)
}
