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

/** Edits that move the sections of a site, and its pages, into the order in which the text has them. */
export function orderEdits(site: Site, pages: readonly MatchedPage[]): Edit[] {
  const edits: Edit[] = []
  const lists = new Map(site.pages.map((page) => [page.id, page.sections.map((one) => one.id)]))
  for (const page of pages) {
    const here = lists.get(page.before?.page ?? '')
    if (!here) continue
    const wanted = page.sections.flatMap(({ before }) => before?.section ?? [])
    const still = staying(wanted.map((id) => here.indexOf(id)).filter((at) => at >= 0))
    const stays = new Set(wanted.filter((id) => still.has(here.indexOf(id))))
    wanted.forEach((id, i) => {
      if (stays.has(id)) return
      for (const list of lists.values()) if (list.includes(id)) list.splice(list.indexOf(id), 1)
      const following = wanted.slice(i + 1).find((one) => stays.has(one))
      const index = i > 0 ? here.indexOf(wanted[i - 1]!) + 1 : following === undefined ? here.length : here.indexOf(following)
      here.splice(index, 0, id)
      stays.add(id)
      edits.push({ kind: 'move', block: id, parent: page.before!.page!, index })
    })
  }
  const order = site.pages.map((page) => page.id)
  const named = pages.flatMap((page) => page.before?.page ?? [])
  const still = staying(named.map((id) => order.indexOf(id)))
  const stays = new Set(named.filter((id) => still.has(order.indexOf(id))))
  named.forEach((id, i) => {
    if (stays.has(id)) return
    order.splice(order.indexOf(id), 1)
    const following = named.slice(i + 1).find((one) => stays.has(one))
    const index = i > 0 ? order.indexOf(named[i - 1]!) + 1 : following === undefined ? order.length : order.indexOf(following)
    order.splice(index, 0, id)
    stays.add(id)
    edits.push({ kind: 'page-move', page: id, index })
  })
  return edits
}
