import { type AtWidth, type Mark, seen, type WidthCheck } from '../check'
import { calledFirst } from '#core/blocks/called'
import { type Fact, positionAt } from '../facts'
import { heightOf } from '../reading'

/** Share of the window's height that what stays in sight may take, and share of the content's width from which it covers that. */
const [MOST, WIDE] = [1 / 3, 0.75]

/** What is scrolled under a sticky block, px from the left of the page: the blocks beside it; under a whole section, all of the page. */
function contentUnder({ block, holders }: Fact, { reading, facts, range }: AtWidth): { left: number; right: number } | undefined {
  const holder = holders.at(-1)
  if (!holder) return { left: 0, right: reading.width }
  const boxes = holder.children.flatMap((one) => {
    const fact = facts.get(one.id)
    return one.id !== block.id && fact && positionAt(fact, range) === 'flow' ? (reading.blocks.get(one.id)?.box ?? []) : []
  })
  if (boxes.length === 0) return undefined
  return { left: Math.min(...boxes.map((one) => one.left)), right: Math.max(...boxes.map((one) => one.right)) }
}

/** Sticky blocks that cover more than a third of the window, where they lie over what is scrolled under them. */
export const highSticky: WidthCheck = {
  fault: false,
  *find(at): Generator<Mark> {
    for (const { id, read, fact } of seen(at)) {
      if (positionAt(fact, at.range) !== 'sticky') continue
      const content = contentUnder(fact, at)
      if (!content) continue
      // One that stands beside what is scrolled covers nothing.
      const covers = Math.min(read.box.right, content.right) - Math.max(read.box.left, content.left)
      const by = heightOf(read.box) / at.window
      if (covers > (content.right - content.left) * WIDE && by > MOST) yield { block: id, by }
    }
  },
  say: ({ fact, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} stays in sight and takes ${Math.round(by * 100)} % of the window's height.`,
    why: `At ${width} px little is left for what is scrolled under it.`,
  }),
}
