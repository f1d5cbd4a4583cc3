import { oklchOf } from '#core/colour/oklch'
import type { Site } from '#core/site/schema'
import { FAMILIES, type Family, familiesOf } from '#core/type/families'

/** What a site already says about its style. */
export type Given = {
  /** Colours that the client wants kept, and those that are not wanted. */
  fixed: string[]
  unwanted: string[]
  /** Colours of the references board, the most colourful first. */
  board: string[]
  /** Families that the client wants, and those of the board's samples. */
  families: Family[]
  samples: Family[]
  /** Words of the brief's tone, in small letters. */
  tone: string[]
}

const unique = <T>(list: readonly T[]): T[] => [...new Set(list)]

/** Families by their ids or names, as a brief or a board names them. */
function familiesNamed(names: readonly string[], all: readonly Family[]): Family[] {
  const plain = (name: string) => name.toLowerCase().replace(/[^a-z0-9]/g, '')
  return unique(names.flatMap((name) => all.find((one) => one.id === name || plain(one.name) === plain(name)) ?? []))
}

/** Reads the brief and the references board for what first style guides are computed from. */
export function givenBy(site: Site): Given {
  const constraints = [...site.brief.constraints, ...site.pages.flatMap((page) => page.brief.constraints)]
  const all = site.fonts.length === 0 ? FAMILIES : familiesOf(site.fonts)
  const colours = (kind: 'colour-wanted' | 'colour-unwanted') =>
    unique(constraints.flatMap((one) => (one.kind === kind ? [one.hex.toUpperCase()] : [])))
  const board = unique(site.board.flatMap((one) => (one.kind === 'colour' ? [one.hex.toUpperCase()] : [])))
  return {
    fixed: colours('colour-wanted'),
    unwanted: colours('colour-unwanted'),
    board: board.sort((a, b) => oklchOf(b).c - oklchOf(a).c),
    families: familiesNamed(
      constraints.flatMap((one) => (one.kind === 'faces' ? one.families : [])),
      all,
    ),
    samples: familiesNamed(
      site.board.flatMap((one) => (one.kind === 'type' ? [one.family] : [])),
      all,
    ),
    tone: unique(site.brief.tone.toLowerCase().match(/[\p{L}-]+/gu) ?? []),
  }
}
