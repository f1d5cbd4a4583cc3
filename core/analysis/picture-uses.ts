import type { Block } from '#core/blocks/index'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import type { StyleValues } from '#core/style/registry'
import { scopesOf } from './values-in-use'

/** One place where a picture is shown: a block of a page and what for, a card of the references board, or elsewhere, in words. */
export type PictureUse =
  | { page: string; block: string; what: 'picture' | 'below a breakpoint' | 'fill' | 'poster' }
  | { card: string }
  | { elsewhere: string }

/** The strings of a value that are ids of pictures, each as often as it stands there. */
function* picturesWithin(value: unknown, ids: ReadonlySet<string>): Generator<string> {
  if (typeof value === 'string') {
    if (ids.has(value)) yield value
  } else if (typeof value === 'object' && value !== null) for (const one of Object.values(value)) yield* picturesWithin(one, ids)
}

/** Places that no page shows: what links are shared with, icons, moods of directions, guises that nobody wears. */
function* elsewhere(site: Site): Generator<[picture: string, where: string]> {
  const { launch } = site
  if (launch?.share !== undefined) yield [launch.share, 'On links to the site that are shared']
  if (launch?.icon && 'picture' in launch.icon) yield [launch.icon.picture, 'The icon of the site']
  for (const page of site.pages) if (page.share !== undefined) yield [page.share, `On links to “${page.name}” that are shared`]
  for (const { name, mood } of site.directions) for (const picture of mood) yield [picture, `In the mood of “${name}”`]
  const ids = new Set(site.pictures.map((one) => one.id))
  for (const one of site.shared)
    for (const picture of picturesWithin(one, ids)) yield [picture, `In the shared block “${one.name}”`]
}

const filledWith = (values: StyleValues): string[] =>
  (values.fillLayers ?? []).flatMap((layer) => (layer.kind === 'picture' ? [layer.picture] : []))

function* shownBy(block: Block): Generator<[string, 'picture' | 'below a breakpoint' | 'fill' | 'poster']> {
  if (block.kind === 'video') {
    if (block.video !== undefined) yield [block.video, 'picture']
    if (block.poster !== undefined) yield [block.poster, 'poster']
  }
  if (block.kind === 'device' && block.picture !== undefined) yield [block.picture, 'picture']
  if (block.kind === 'picture') {
    if (block.picture !== undefined) yield [block.picture, 'picture']
    for (const other of Object.values(block.instead ?? {})) yield [other, 'below a breakpoint']
  }
  for (const [, values] of scopesOf(block)) for (const picture of filledWith(values)) yield [picture, 'fill']
}

/** Where each picture of a site is used, in every direction; one that is used nowhere is not among them. */
export function picturesInUse(site: Site): Map<string, PictureUse[]> {
  const uses = new Map<string, PictureUse[]>()
  const add = (picture: string, use: PictureUse) => {
    const all = uses.get(picture)
    if (all) all.push(use)
    else uses.set(picture, [use])
  }
  for (const page of site.pages)
    for (const block of walkPage(page)) {
      for (const [picture, what] of shownBy(block)) add(picture, { page: page.id, block: block.id, what })
      for (const { restyled } of site.directions) {
        const style = restyled[block.id]
        if (!style) continue
        for (const [, values] of scopesOf({ style }))
          for (const picture of filledWith(values)) add(picture, { page: page.id, block: block.id, what: 'fill' })
      }
    }
  for (const [picture, where] of elsewhere(site)) add(picture, { elsewhere: where })
  for (const card of site.board) if (card.kind === 'picture') add(card.picture, { card: card.id })
  return uses
}

/** Every tag that pictures of a site have, by how many have it, the most used first. */
export function tagsInUse({ pictures }: Pick<Site, 'pictures'>): { tag: string; count: number }[] {
  const counts = new Map<string, number>()
  for (const { tags } of pictures) for (const tag of tags ?? []) counts.set(tag, (counts.get(tag) ?? 0) + 1)
  return [...counts].map(([tag, count]) => ({ tag, count })).sort((a, b) => b.count - a.count || a.tag.localeCompare(b.tag))
}

/** Pictures whose name or tags have every word of a query, by the beginnings of their own words; all for an empty one. */
export function findPictures(pictures: Site['pictures'], query: string): Site['pictures'] {
  const wanted = query.toLowerCase().split(/\s+/).filter(Boolean)
  if (wanted.length === 0) return pictures
  return pictures.filter(({ name, tags }) => {
    const words = [name, ...(tags ?? [])]
      .join(' ')
      .toLowerCase()
      .split(/[\s._-]+/)
    return wanted.every((one) => words.some((word) => word.startsWith(one)))
  })
}
