import { oneLine } from '#core/values/one-line'
import type { Heading } from 'mdast'
import { JOBS } from '#core/blocks/section'
import { jobNamed } from './job-of'
import { plainText } from '#core/values/words'
import { fromPhrasing } from '#core/deck/inline'
import { sameName } from '#core/deck/names'
import { treeOf } from '#core/deck/parse'

/** What a heading of a document stands for in the deck. */
export const HEADING_KINDS = ['page', 'section', 'heading', 'entry'] as const
export type HeadingKind = (typeof HEADING_KINDS)[number]

/** A heading of a document: its level there, and what it is taken for. */
export type DocumentHeading = { depth: number; text: string; kind: HeadingKind }

const DEPTHS: Record<HeadingKind, number> = { page: 1, section: 2, heading: 3, entry: 4 }

export type LevelOptions = {
  /** True for a name of a page that the site has. */
  isPage: (name: string) => boolean
  /** True for a document that was not written by the conventions of the deck, as one of a word processor. */
  foreign: boolean
}

/** True for a name that only labels a section for those who write, as “Prices”. */
const isLabel = (name: string): boolean =>
  jobNamed(name) !== undefined && (!/\s/.test(name.trim()) || JOBS.some((job) => sameName(job, name)))

const headingsIn = (text: string): Heading[] => treeOf(text).children.filter((node): node is Heading => node.type === 'heading')

/** The levels that pages and sections have in a document; no level for pages where it has none. */
function levelsOf(headings: readonly { depth: number; text: string }[], { isPage, foreign }: LevelOptions) {
  const depths = [...new Set(headings.map((one) => one.depth))].sort((a, b) => a - b)
  const [top, second] = depths
  if (top === undefined) return {}
  const at = (depth: number) => headings.filter((one) => one.depth === depth)
  const jobs = (depth: number) => at(depth).filter((one) => jobNamed(one.text)).length / at(depth).length
  const asPages = { page: top, section: second }
  if (at(top).some((one) => isPage(one.text))) return asPages
  if (jobs(top) >= 0.3) return { section: top }
  // One heading over all others is a title.
  if (at(top).length === 1 && headings[0]!.depth === top && !jobNamed(headings[0]!.text)) return asPages
  if (second === undefined) return foreign || top > 1 ? { section: top } : { page: top }
  if (!foreign) return top === 1 ? asPages : { section: top }
  return jobs(second) >= 0.3 || depths.length > 2 ? asPages : { section: top }
}

/** The headings of a document, and what each most likely stands for. */
export function documentHeadings(text: string, options: LevelOptions): DocumentHeading[] {
  const plain = headingsIn(text).map((node) => ({ depth: node.depth, text: plainText(fromPhrasing(node.children)).trim() }))
  const { page, section } = levelsOf(plain, options)
  const byConvention = !options.foreign && (page ?? 1) === 1 && (section ?? 2) === 2
  // Where several headings of one level stand in a section, they are its entries.
  const counts: number[] = []
  let at = -1
  const below = (depth: number) => depth === (section ?? page ?? 0) + 1
  for (const one of plain) {
    if (one.depth === section || one.depth === page) counts[++at] = 0
    else if (at >= 0 && below(one.depth)) counts[at]!++
  }
  at = -1
  return plain.map((one): DocumentHeading => {
    if (one.depth === page) return (at++, { ...one, kind: 'page' })
    if (one.depth === section) return (at++, { ...one, kind: 'section' })
    if (byConvention) return { ...one, kind: one.depth <= 3 ? 'heading' : 'entry' }
    return { ...one, kind: below(one.depth) && (counts[at] ?? 0) < 2 ? 'heading' : 'entry' }
  })
}

/**
 * A document as Markdown by the conventions of the deck, its headings being what they are taken for. In a foreign one a
 * section's name is also its heading, and what stands under the title, as a subtitle, goes into the first section.
 */
export function asDeckText(text: string, headings: readonly DocumentHeading[], foreign: boolean): string {
  const nodes = headingsIn(text)
  if (nodes.length === 0) return text
  const start = nodes[0]!.position!.start.offset!
  const parts = nodes.map((node, i) => ({
    node,
    kind: headings[i]?.kind ?? 'entry',
    name: headings[i]?.text ?? '',
    body: text.slice(node.position!.end.offset, nodes[i + 1]?.position!.start.offset ?? text.length).trim(),
  }))
  const out = [text.slice(0, start).trim()]
  let subtitle = ''
  parts.forEach(({ node, kind, name, body }, i) => {
    const words = text
      .slice(node.position!.start.offset, node.position!.end.offset)
      .replace(/^#+[ \t]*/, '')
      .replace(/\n[=-]+\s*$/, '')
    out.push(`${'#'.repeat(DEPTHS[kind])} ${oneLine(words)}`)
    if (foreign && kind === 'page' && parts[i + 1]?.kind === 'section') {
      subtitle = body
      return
    }
    if (foreign && kind === 'section') {
      const next = parts.slice(i + 1).findIndex((one) => one.kind === 'section' || one.kind === 'page')
      const inside = parts.slice(i + 1, next < 0 ? undefined : i + 1 + next)
      if (!isLabel(name) && !inside.some((one) => one.kind === 'heading')) out.push(`### ${oneLine(words)}`)
      if (subtitle !== '' && !['header', 'footer'].includes(jobNamed(name) ?? '')) {
        out.push(subtitle)
        subtitle = ''
      }
    }
    out.push(body)
  })
  return `${[...out, subtitle].filter((one) => one !== '').join('\n\n')}\n`
}
