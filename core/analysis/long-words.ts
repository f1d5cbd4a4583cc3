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

/** Words of a page that do not fit into their blocks at some of the site's views. */
export function longWords(site: Site, page: Page): LongWord[] {
  const found = new Map<string, LongWord>()
  for (const viewport of [...site.views].sort((a, b) => b - a)) {
    const sight = sightOf(site, site.language, viewport, 800)
    for (const section of page.sections) {
      if (section.hidden) continue
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
  }
  return [...found.values()]
}
