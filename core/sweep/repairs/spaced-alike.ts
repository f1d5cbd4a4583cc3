import type { RemedyMaker } from './remedy'

/** The space above a block, or under the one before it, becomes that of the others beside it. */
export const spacedAlike: RemedyMaker = ({ block, around }) => {
  const siblings = around[0]?.block.children ?? []
  const before = siblings[siblings.findIndex((one) => one.id === block.id) - 1]
  const other = siblings.findLast((one) => one !== before && one.id !== block.id)
  if (!before || !other) return []
  return [
    {
      label: 'The space above it as of the others',
      block: block.id,
      values: { spaceBefore: other.style.base?.spaceBefore ?? null },
    },
    {
      label: 'The space before it as of the others',
      block: before.id,
      values: { spaceAfter: other.style.base?.spaceAfter ?? null },
    },
  ]
}
