import { type Check, nameOf } from '#core/analysis/finding'

/** Pictures that are not chosen, and linked ones without alternative text, whose link has no name (WCAG 2.2, 2.4.4). */
export const pictures: Check = ({ blocks, site: { language, pictures: known } }) =>
  blocks.map((block) => {
    if (block.kind !== 'picture') return undefined
    const chosen = known.find((one) => one.id === block.picture)
    if (!chosen)
      return {
        block: block.id,
        sentence: `The block “${nameOf(block)}” has no picture: a crossed frame stands in its place.`,
      }
    if (block.link && !block.alt?.[language])
      return {
        block: block.id,
        sentence: `The picture “${chosen.name}” is a link and has no alternative text, so the link has no name.`,
      }
    return undefined
  })
