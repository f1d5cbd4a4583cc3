import { BLOCK_STATES } from '#core/style/states'
import type { Block } from '#core/blocks/index'
import { kindOf } from '#core/blocks/index'
import { appliesTo } from '#core/blocks/applies'
import { hasWords } from '#core/blocks/tree'
import type { Edit } from '#core/edits/index'
import type { Site } from '#core/site/schema'
import { type PropertyName, propertyOf, valuesIn, isState } from '#core/style/registry'
import { rangeScopes } from '#core/style/cascade'
import { looksOf } from './chosen'

/** What a block keeps when it is given another's style: where it stands, and how large it is. */
const isTaken = (name: PropertyName): boolean => !propertyOf(name).placing && name !== 'width' && name !== 'height'

/**
 * The edits that give blocks the style of another: its looks and all of its values at every range of widths and
 * in every state, but for where it stands and how large it is. What a block cannot have is left out; what it has besides is
 * taken away.
 * @param alone one property that alone is taken, if any
 */
export function styleEdits(site: Site, from: Block, onto: readonly Block[], alone?: PropertyName): Edit[] {
  const edits: Edit[] = []
  for (const block of onto) {
    if (block.id === from.id) continue
    for (const [field, value] of Object.entries(alone ? {} : looksOf(from))) {
      if (!(field in kindOf(block.kind).fields.shape) || (block as never)[field] === value) continue
      // A card is no kind of button: looks of another kind have names of their own.
      if (field !== 'type' && block.kind !== from.kind) continue
      edits.push({ kind: 'field', block: block.id, field: field as 'name', value: value! })
    }
    for (const scope of [...rangeScopes(site.breakpoints), ...BLOCK_STATES] as const) {
      const [own, theirs] = [valuesIn(block.style, scope) ?? {}, valuesIn(from.style, scope) ?? {}]
      const names = new Set([...Object.keys(own), ...Object.keys(theirs)] as PropertyName[])
      const values = Object.fromEntries(
        [...names].flatMap((name) => {
          if ((alone ? name !== alone : !isTaken(name)) || !appliesTo(name, block.kind)) return []
          if (isState(scope) && !propertyOf(name).onHover) return []
          return [[name, theirs[name] ?? null]]
        }),
      )
      if (Object.keys(values).length > 0) edits.push({ kind: 'style', block: block.id, scope, values })
    }
  }
  return edits
}

/** The edits that give blocks the words of another, in every language; links stay where they are. */
export function wordEdits(from: Block, onto: readonly Block[]): Edit[] {
  if (!hasWords(from)) return []
  return onto.flatMap((block): Edit[] =>
    hasWords(block) && block.id !== from.id ? [{ kind: 'words', block: block.id, words: from.words }] : [],
  )
}
