import { deckName } from '#core/deck/deck'
import { slotsOf } from '#core/deck/slots'
import type { Unplaced } from '#core/site/passage'
import type { Block, Section } from '#core/blocks/index'
import type { Page, Site } from '#core/site/schema'
import { walk } from '#core/blocks/tree'
import { plainText } from '#core/values/words'
import type { Batch } from './batch'
import type { AnyEdit } from './edit'
import type { ListEdit } from './list'

/** The id of a block's words once they stand on no page: the block's own, so that every client makes the same. */
function freeId(block: string, taken: ReadonlySet<string>): string {
  let id = block
  for (let n = 2; taken.has(id); n++) id = `${block.slice(0, 20)}-${n}`
  return id
}

/** The words of a block that is taken out and of all that it holds, as the unplaced words that they become. */
export function wordsToKeep(site: Site, page: Page, section: Section, block: Block): Unplaced[] {
  const inside = new Set([...walk(block)].map((one) => one.id))
  const taken = new Set(site.unplaced.map((one) => one.id))
  return slotsOf(section).flatMap(({ block: slot, role, entry, list, beside }): Unplaced[] => {
    if (!inside.has(slot.id) || !Object.values(slot.words).some((words) => plainText(words).trim() !== '')) return []
    const link = slot.kind === 'button' || slot.kind === 'link' ? slot.link : undefined
    return [
      {
        id: freeId(slot.id, taken),
        page: page.id,
        pageName: page.name,
        section: section.id,
        sectionName: deckName(section),
        from: slot.id,
        role,
        entry,
        words: slot.words,
        ...(link ? { link } : {}),
        ...(list?.ordered ? { ordered: true } : {}),
        ...(beside ? { beside } : {}),
      },
    ]
  })
}

/** The edit that takes a removal back: the blocks return, and the words that were kept for them go. */
export const takeBack = <E extends AnyEdit>(label: string, edits: E[], kept: readonly Unplaced[]): Batch<E | ListEdit> => ({
  kind: 'batch',
  label,
  edits: [{ kind: 'list', list: 'unplaced', drop: kept.map((one) => one.id), put: [] }, ...edits],
})
