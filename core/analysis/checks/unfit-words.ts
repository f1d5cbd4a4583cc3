import { longWords } from '#core/analysis/long-words'
import { type Check, nameOf } from '#core/analysis/finding'

const short = (word: string) => (word.length > 40 ? `${word.slice(0, 39)}…` : word)

/** Words that are wider than what they stand in. */
export const unfitWords: Check = ({ page, blocks, site }) =>
  longWords(site, page).map(({ block, word, needs, has, at }) => ({
    block,
    sentence: `“${short(word)}” in “${nameOf(blocks.find((one) => one.id === block)!)}” is about ${needs} px wide and has ${has} px at ${at.at(-1)}. Set it smaller, or put a soft hyphen where it may be parted.`,
  }))
