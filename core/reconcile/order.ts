import type { Edit } from '#core/edits/index'
import type { Site } from '#core/site/schema'
import type { MatchedPage } from './match'

/** Of some numbers, those that stay where they are so that the fewest others must move: the longest rising run. */
export function staying(numbers: readonly number[]): Set<number> {
  const best: number[][] = []
  numbers.forEach((number, i) => {
    let longest: number[] = []
    for (let j = 0; j < i; j++) if (numbers[j]! < number && best[j]!.length > longest.length) longest = best[j]!
    best.push([...longest, number])
  })
  return new Set(best.reduce((a, b) => (b.length > a.length ? b : a), []))
}

/**
 * The fewest moves that bring a list, which is changed, into an order: each id, and its index once it has been taken
 * out. Ids that the order does not name keep their neighbours. @param takeOut takes an id from where it stands
 */
function moves(list: string[], wanted: readonly string[], takeOut: (id: string) => void): { id: string; index: number }[] {
  const still = staying(wanted.map((id) => list.indexOf(id)).filter((at) => at >= 0))
  const stays = new Set(wanted.filter((id) => still.has(list.indexOf(id))))
  return wanted.flatMap((id, i) => {
    if (stays.has(id)) return []
    takeOut(id)
    const following = wanted.slice(i + 1).find((one) => stays.has(one))
    const index = i > 0 ? list.indexOf(wanted[i - 1]!) + 1 : following === undefined ? list.length : list.indexOf(following)
    list.splice(index, 0, id)
    stays.add(id)
    return [{ id, index }]
  })
}

const without = (list: string[], id: string): void => {
  if (list.includes(id)) list.splice(list.indexOf(id), 1)
}

/** Edits that move the sections of a site, and its pages, into the order in which the text has them. */
export function orderEdits(site: Site, pages: readonly MatchedPage[]): Edit[] {
  const lists = new Map(site.pages.map((page) => [page.id, page.sections.map((one) => one.id)]))
  const sections = pages.flatMap((page): Edit[] => {
    const parent = page.before?.page
    const here = lists.get(parent ?? '')
    if (parent === undefined || !here) return []
    const wanted = page.sections.flatMap(({ before }) => before?.section ?? [])
    // A section may come from another page.
    const found = moves(here, wanted, (id) => lists.forEach((list) => without(list, id)))
    return found.map(({ id, index }) => ({ kind: 'move', block: id, parent, index }))
  })
  const order = site.pages.map((page) => page.id)
  const named = pages.flatMap((page) => page.before?.page ?? [])
  const found = moves(order, named, (id) => without(order, id))
  return [...sections, ...found.map(({ id, index }): Edit => ({ kind: 'page-move', page: id, index }))]
}
