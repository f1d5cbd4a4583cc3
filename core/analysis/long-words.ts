import type { Section } from '#core/blocks/index'
import type { Page, Site } from '#core/site/schema'
import { hasWords, walk } from '#core/blocks/tree'
import { plainText } from '#core/values/words'
import { pictureBoxes } from '#core/render/boxes'
import { naturalWidth, settingOf, sightOf, spansOf } from '#core/render/line-box'

/** A word that is wider than what it stands in, at some widths of the window, so that it must be hyphenated or broken. */
export type LongWord = {
  block: string
  word: string
  /** Px that it needs, and has, at the narrowest of them. */ needs: number
  has: number
  at: number[]
}

/** Where a word may be broken without anything being put in: at spaces, after hyphens and slashes, at soft hyphens. */
const BREAKS = /[\s\u00ad\u200b]+|(?<=[-‐–—/])/u

/** Widths are worked out from mean letters, so a word counts only when it is clearly too wide. */
const CLEARLY = 1.05

/** What the room and the words of a section hang on, besides the section. */
const AROUND = ['guide', 'breakpoints', 'views', 'pictures', 'fonts', 'shared', 'language'] as const
const known = new WeakMap<Section, { site: Site; words: LongWord[] }>()

/** Words of a page that do not fit into their blocks at some of the site's views. */
export const longWords = (site: Site, page: Page): LongWord[] =>
  page.sections.flatMap((section) => (section.hidden ? [] : longWordsIn(site, section)))

/** Those of one section; remembered for as long as all that they hang on is the same, since they are asked for after each edit. */
function longWordsIn(site: Site, section: Section): LongWord[] {
  const before = known.get(section)
  if (before && AROUND.every((one) => before.site[one] === site[one])) return before.words
  const found = new Map<string, LongWord>()
  for (const viewport of [...site.views].sort((a, b) => b - a)) {
    const sight = sightOf(site, site.language, viewport, 800)
    const widths = new Map<string, number>()
    pictureBoxes(section, sight, widths)
    for (const block of walk(section)) {
      const has = widths.get(block.id)
      if (has === undefined || !hasWords(block)) continue
      const setting = settingOf(block, sight)
      for (const word of plainText(spansOf(block, sight)).split(BREAKS)) {
        const needs = naturalWidth(word, setting)
        if (word.length < 6 || needs <= has * CLEARLY) continue
        const key = `${block.id} ${word}`
        const at = [...(found.get(key)?.at ?? []), viewport]
        found.set(key, { block: block.id, word, needs: Math.round(needs), has: Math.round(has), at })
      }
    }
  }
  const words = [...found.values()]
  if (Object.isFrozen(section)) known.set(section, { site, words })
  return words
}
