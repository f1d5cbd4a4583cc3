import type { Block, Section } from '#core/blocks/index'
import { isContainer } from '#core/blocks/tree'
import type { Site } from '#core/site/schema'
import { withSections } from '#core/site/tree'
import type { StyleValues } from '#core/style/registry'

/** Something that befalls a page once it is used: how it is shown then, and checked. */
export type Stress = {
  label: string
  /** What it stands for, and the rule that asks for it, if one does. */
  note: string
  /** What becomes of the document. What is shown is never kept. */
  change?: (site: Site) => Site
  /** What is added to the stylesheet. */
  css?: string
  /** What becomes of every stylesheet before that. */
  restyle?: (css: string) => string
  /** The widths at which it is looked at, px, the least first; all widths where none are named. */
  widths?: readonly number[]
  /** Height of the window there, px; the usual one where none is named. */
  height?: number
  /** True where lines begin at the right then. */
  mirrored?: boolean
}

/** Changes the sections of a site; of one that stays the same object, what was made of it is used again. */
export function changeSections(change: (section: Section, site: Site) => Section): (site: Site) => Site {
  const known = new WeakMap<Section, { language: string; made: Section }>()
  return (site) =>
    withSections(site, (section) => {
      const before = known.get(section)
      if (before?.language === site.language) return before.made
      const made = change(section, site)
      if (Object.isFrozen(section)) known.set(section, { language: site.language, made })
      return made
    })
}

/** A block whose values are changed, for all widths and in its exceptions. */
export function withValues(block: Block, change: (values: StyleValues) => StyleValues): Block {
  const { base, below } = block.style
  const style = {
    ...block.style,
    ...(base ? { base: change(base) } : {}),
    ...(below ? { below: Object.fromEntries(Object.entries(below).map(([id, values]) => [id, change(values)])) } : {}),
  }
  return { ...block, style } as Block
}

/** A block tree in which each block is changed after what it holds. */
export function mapBlocks<B extends Block>(block: B, change: (block: Block) => Block): B {
  const inner = isContainer(block) ? { ...block, children: block.children.map((one) => mapBlocks(one, change)) } : block
  return change(inner) as B
}
