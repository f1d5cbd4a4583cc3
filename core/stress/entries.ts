import type { Block } from '#core/blocks/index'
import { isContainer } from '#core/blocks/tree'
import { withNewIds } from '#core/site/tree'
import { changeSections, mapBlocks, type Stress } from './stress'

/** True for one of several of a kind: an entry of a section, an item of a list, a link of a nav, a slide. */
const isEntry = (block: Block, holder: Block): boolean =>
  (block.kind === 'group' && block.entry === true) ||
  (holder.kind === 'list' && block.kind === 'item') ||
  (holder.kind === 'nav' && block.kind === 'link') ||
  holder.kind === 'slideshow'

/** What a holder has, with its entries changed. */
const withEntries = (change: (entries: readonly Block[]) => Block[]) =>
  changeSections((section) =>
    mapBlocks(section, (holder) => {
      if (!isContainer(holder)) return holder
      const entries = holder.children.filter((one) => isEntry(one, holder) && !one.hidden)
      if (entries.length < 2) return holder
      const last = holder.children.indexOf(entries.at(-1)!)
      const others = (one: Block) => !entries.includes(one)
      return {
        ...holder,
        children: [
          ...holder.children.slice(0, last).filter(others),
          ...change(entries),
          ...holder.children.slice(last + 1).filter(others),
        ],
      } as Block
    }),
  )

let made = 0
/** An id that no document has. */
const makeId = () => `stress${(made++).toString(36)}`

export const twice: Stress = {
  label: 'Twice the entries',
  note: 'cards, items of lists, links of navigation, slides',
  change: withEntries((entries) => [...entries, ...entries.map((one) => withNewIds(one, makeId))]),
}

export const single: Stress = {
  label: 'One entry',
  note: 'where there are several',
  change: withEntries((entries) => entries.slice(0, 1)),
}
