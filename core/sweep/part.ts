import type { BlockRead, Box, Reading } from './reading'

const moved = ({ left, top, right, bottom }: Box, up: number): Box => ({ left, top: top - up, right, bottom: bottom - up })

/**
 * What was read of some sections of a page, as they are where they stand alone at its top.
 * @param ids of the blocks that are in them
 * @param first id of the first of them
 * @returns nothing where the page was wider than its window: which of its sections are, each says by itself
 */
export function partOf({ width, blocks, past }: Reading, ids: ReadonlySet<string>, first: string): Reading | undefined {
  if (past && past.by > 0) return undefined
  const up = blocks.get(first)?.box.top ?? 0
  const part = new Map<string, BlockRead>()
  for (const [id, one] of blocks)
    if (ids.has(id)) {
      const words = one.words && { ...one.words, lines: one.words.lines.map((line) => moved(line, up)) }
      part.set(id, { ...one, box: moved(one.box, up), ...(words ? { words } : {}) })
    }
  return { width, blocks: part, past: { by: 0 } }
}
