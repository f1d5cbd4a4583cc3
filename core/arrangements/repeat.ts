import { newBlock } from '#core/blocks/defaults'
import type { Block, BlockOf, Container, Section, WordBlock } from '#core/blocks/index'
import { isContainer } from '#core/blocks/tree'
import { withNewIds } from '#core/site/tree'
import type { Style, StyleValues } from '#core/style/registry'
import type { MakeId } from '#core/values/ids'
import { token } from '#core/values/length'

/** What holds a block; `undefined` where it is not in the container. */
export function parentOf(container: Container, id: string): Container | undefined {
  for (const child of container.children) {
    if (child.id === id) return container
    const found = isContainer(child) ? parentOf(child, id) : undefined
    if (found) return found
  }
  return undefined
}

/** Puts another slot like the given one after it. */
export function repeat(section: Section, slot: WordBlock, makeId: MakeId): WordBlock {
  const parent = parentOf(section, slot.id)!
  const { link: _, ...copy } = { link: undefined, ...withNewIds(slot, makeId) }
  const made = { ...copy, words: {} } as WordBlock
  parent.children.splice(parent.children.indexOf(slot) + 1, 0, made)
  return made
}

/** Where a button stands among others; a row takes its place, and its words stay the button's. */
const PLACING = ['span', 'start', 'selfJustify', 'selfAlign', 'spaceBefore', 'spaceAfter'] as const

/** Puts another call beside the given one, in a row that takes the given one's place; the second is the quieter. */
export function repeatBeside(section: Section, slot: BlockOf<'button'>, makeId: MakeId): WordBlock {
  const parent = parentOf(section, slot.id)!
  if (parent.style.base?.layout !== 'row' || parent.kind !== 'group') {
    const taken = (values: StyleValues = {}) => pick(values, (name) => (PLACING as readonly string[]).includes(name))
    const left = (values: StyleValues = {}) => pick(values, (name) => !(PLACING as readonly string[]).includes(name))
    const each = (change: (values?: StyleValues) => StyleValues): Style => ({
      base: change(slot.style.base),
      ...(slot.style.below
        ? { below: Object.fromEntries(Object.entries(slot.style.below).map(([id, values]) => [id, change(values)])) }
        : {}),
    })
    const placed = each(taken)
    const { selfJustify } = placed.base ?? {}
    const row: Block = {
      ...newBlock('group', makeId),
      name: 'Calls',
      style: {
        ...placed,
        base: {
          ...placed.base,
          layout: 'row',
          wrap: true,
          gap: token('space-4'),
          rowGap: token('space-3'),
          ...(selfJustify === 'end' || selfJustify === 'center' ? { justify: selfJustify } : {}),
        },
      },
      children: [slot],
    }
    slot.style = each(left)
    slot.style.base = { ...slot.style.base, spaceAfter: { value: 0, unit: 'px' } }
    parent.children.splice(parent.children.indexOf(slot), 1, row)
  }
  const made = repeat(section, slot, makeId) as BlockOf<'button'>
  if (made.look === 'primary') made.look = 'secondary'
  // Colours that set the first one off are not for the second: it takes the words' ink of its section.
  if (made.style.base?.fill) {
    const { fill: _fill, ...rest } = made.style.base
    const { ink } = section.style.base ?? {}
    made.style = { ...made.style, base: { ...rest, ...(ink ? { ink, edgeColour: ink } : {}) } }
  }
  return made
}

const pick = (values: StyleValues, wanted: (name: string) => boolean): StyleValues =>
  Object.fromEntries(Object.entries(values).filter(([name]) => wanted(name)))
