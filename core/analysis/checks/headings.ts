import type { Check } from '#core/analysis/finding'

/** First-level headings that are missing or doubled, and levels that are skipped. */
export const headings: Check = ({ blocks }) => {
  const levels = blocks.flatMap((block) => (block.kind === 'heading' ? [block] : []))
  const first = levels.filter((block) => block.level === 1)
  const count =
    first.length === 1
      ? undefined
      : {
          ...(first[1] ? { block: first[1].id } : {}),
          sentence:
            first.length === 0
              ? 'The page has no first-level heading.'
              : `The page has ${first.length} first-level headings; one is wanted.`,
        }
  const jump = levels.findIndex((block, i) => i > 0 && block.level > levels[i - 1]!.level + 1)
  if (jump < 0) return [count]
  const { id, level } = levels[jump]!
  const before = levels[jump - 1]!.level
  const sentence = `A heading of level ${level} follows one of level ${before}; no level should be skipped.`
  return [count, { block: id, sentence }]
}
