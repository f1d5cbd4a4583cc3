import { hasWords, walk } from '#core/blocks/tree'
import type { Site } from '#core/site/schema'
import { findBlock } from '#core/site/tree'
import { isSame } from '#core/values/equal'
import { copiesOf, copyAround, partOf, partWith, sharedOf } from './copies'

/** The part whose words a block of a copy has in a language; nothing where its words are its own, or it is in no copy. */
export function saidByAll(site: Site, block: string, language: string): { shared: string; part: string } | undefined {
  const place = site.shared.length === 0 ? undefined : findBlock(site, block)
  const copy = place && copyAround(place)
  const shared = copy && sharedOf(site, copy.copyOf.shared)
  const id = shared && partOf(shared, place.block)
  const part = shared && partWith(shared, id)
  if (!part || !hasWords(part) || !hasWords(place!.block)) return undefined
  return isSame(part.words[language], place!.block.words[language]) ? { shared: shared.id, part: part.id } : undefined
}

/** Blocks of copies whose words in a language are those of the shared block and are read in a copy before. */
export function saidBefore(site: Site, language: string): ReadonlySet<string> {
  const before = new Set<string>()
  for (const shared of site.shared) {
    const parts = new Map([...walk(shared.block)].filter(hasWords).map((one) => [one.id, one.words[language]]))
    const said = new Set<string>()
    for (const { copy } of copiesOf(site, shared.id))
      for (const block of walk(copy)) {
        const part = partOf(shared, block)
        if (part === undefined || !hasWords(block) || !isSame(parts.get(part), block.words[language])) continue
        if (said.has(part)) before.add(block.id)
        else said.add(part)
      }
  }
  return before
}
