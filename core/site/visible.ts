import type { Block, BlockOf, Container } from '#core/blocks/index'
import { isContainer } from '#core/blocks/tree'
import type { Page } from './schema'

/**
 * A block and all that it holds, in reading order, but for what is hidden: the one walk of all that reads a page. Each
 * comes with what is around it, which `within` makes of a container and of what is around that.
 */
export function* visible<A>(
  block: Block,
  around: A,
  within: (container: Container, around: A) => A,
): Generator<{ block: Block; around: A }> {
  if (block.hidden) return
  yield { block, around }
  if (!isContainer(block)) return
  const inner = within(block, around)
  for (const child of block.children) yield* visible(child, inner, within)
}

type Form = BlockOf<'form'> | undefined
const formAround = (container: Container, form: Form): Form => (container.kind === 'form' ? container : form)

/** A block and all that it holds, but for what is hidden. */
export const visibleIn = (block: Block): Block[] => [...visible(block, undefined, () => undefined)].map((one) => one.block)

/** The blocks of a page that are not hidden, nor inside something that is, each with the form around it. */
export const visibleBlocks = (page: Page): { block: Block; form: Form }[] =>
  page.sections.flatMap((section) =>
    [...visible<Form>(section, undefined, formAround)].map(({ block, around }) => ({ block, form: around })),
  )
