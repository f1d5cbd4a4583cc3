import type { Block } from '#core/blocks/index'
import { nameWithWords } from '#core/blocks/name-with-words'
import type { Edit } from '#core/edits/index'
import type { Site } from '#core/site/schema'
import { findBlock } from '#core/site/tree'

/** The edits that an edit comes to: those of a batch, and what is done in a copy. */
const partsOf = (edit: Edit): Edit[] =>
  edit.kind === 'batch' ? edit.edits.flatMap(partsOf) : 'edit' in edit ? partsOf(edit.edit as Edit) : [edit]

/**
 * On what an edit was made, in words, as for a list of what was done: a block with its first words, or a page.
 * @param sites where it may stand: what was taken out stood before, what was added stands after
 * @returns an empty text where it is on the site as a whole
 */
export function nameOfEdited(edit: Edit, ...sites: readonly Site[]): string {
  for (const part of partsOf(edit)) {
    const named = part as { block?: unknown; section?: unknown; blocks?: readonly unknown[]; page?: unknown }
    const blocks = (named.blocks ?? []).map((one) => (typeof one === 'string' ? one : (one as Block).id))
    const ids = [named.block, named.section, ...blocks, named.page].filter((one) => typeof one === 'string')
    for (const site of sites)
      for (const id of ids) {
        const block = findBlock(site, id)?.block
        if (block) return nameWithWords(block, site.language)
        const page = site.pages.find((one) => one.id === id)
        if (page) return page.name
      }
  }
  return ''
}
