import type { Page, Site } from '#core/site/schema'
import { staysWithin } from './stays-within'

type Section = Page['sections'][number]

/** True for two sections, one below the other, of which one may reach into the other. */
export const isOpen = (above: Section | undefined, below: Section | undefined, site: Site): boolean =>
  above !== undefined && below !== undefined && !(staysWithin(above, site) && staysWithin(below, site))

/** Sections of a page, from the top, in groups that have nothing to do with each other: each can be looked at without the others. */
export function apart(sections: readonly Section[], site: Site): Section[][] {
  const groups: Section[][] = []
  for (const section of sections) {
    const last = groups.at(-1)
    if (last && isOpen(last.at(-1), section, site)) last.push(section)
    else groups.push([section])
  }
  return groups
}
