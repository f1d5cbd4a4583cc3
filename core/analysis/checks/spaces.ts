import { type Check, counted } from '#core/analysis/finding'
import { called, calledFirst } from '#core/blocks/called'
import { type Block, type Container, type Section, typeRoleOf } from '#core/blocks/index'
import { isContainer, isWordless } from '#core/blocks/tree'
import type { Edit } from '#core/edits/index'
import { pxOf, type Sight, sightOf } from '#core/render/line-box'
import { layoutAt } from '#core/render/surround'
import type { Site } from '#core/site/schema'
import { visibleIn } from '#core/site/visible'
import { valuesByRange } from '#core/style/cascade'

/** The window at which spaces are compared, px. */
const SEEN_AT = { width: 1280, height: 800 }
/** How often a space must be met to be usual, which share of all it must be, and px by which another one is no purpose. */
const USUAL = { times: 4, share: 0.75, differs: { from: 3, to: 24 } }

/** Two blocks that stand under each other, the role of each, and the space between them, px. */
type Pair = { above: Block; below: Block; roles: string; space: number }

const valuesAt = ({ style }: Block, { site, index }: Sight) => valuesByRange(style, site.breakpoints)[index]!

const roleOf = (block: Block, { site }: Sight) => `${block.kind} ${typeRoleOf(block, site.guide)}`

/** What stands under each other in a column, by the document alone: spaces after and before, and the gap of what holds both. */
function pairsIn(holder: Container, sight: Sight): Pair[] {
  if (layoutAt(holder, sight.site.breakpoints, sight.index) !== 'column' || holder.kind === 'list') return []
  const gap = pxOf(valuesAt(holder, sight).rowGap, sight) ?? 0
  const shown = (holder.children as readonly Block[]).filter((one) => {
    const { position = 'flow', shown: isShown } = valuesAt(one, sight)
    return !one.hidden && isShown !== false && position === 'flow' && !isWordless(one, sight.language)
  })
  return shown.slice(1).flatMap((below, n): Pair[] => {
    const above = shown[n]!
    // What holds others stands apart by what these are.
    if (isContainer(above) || isContainer(below)) return []
    const space =
      gap + (pxOf(valuesAt(above, sight).spaceAfter, sight) ?? 0) + (pxOf(valuesAt(below, sight).spaceBefore, sight) ?? 0)
    return [{ above, below, roles: `${roleOf(above, sight)}, ${roleOf(below, sight)}`, space }]
  })
}

const known = new WeakMap<Section, { sight: Sight; pairs: Pair[] }>()

/** The pairs of a section; remembered as long as that, the guide and the breakpoints are the same, since all are asked for after each edit. */
function pairsOfSection(section: Section, sight: Sight): Pair[] {
  const before = known.get(section)
  const isSame = (['guide', 'breakpoints', 'language'] as const).every((one) => before?.sight.site[one] === sight.site[one])
  if (before && isSame) return before.pairs
  const pairs = visibleIn(section).flatMap((block) => (isContainer(block) ? pairsIn(block, sight) : []))
  known.set(section, { sight, pairs })
  return pairs
}

/** All pairs of a site, by their roles. */
function pairsOf(site: Site): ReadonlyMap<string, Pair[]> {
  const pairs = new Map<string, Pair[]>()
  const sight = sightOf(site, site.language, SEEN_AT.width, SEEN_AT.height)
  for (const page of site.pages)
    for (const section of page.sections)
      for (const pair of pairsOfSection(section, sight)) {
        const like = pairs.get(pair.roles)
        if (like) like.push(pair)
        else pairs.set(pair.roles, [pair])
      }
  return pairs
}

/** The space that most of some pairs have, with those that have it; nothing where there is no such. */
function usualOf(pairs: readonly Pair[]): readonly Pair[] | undefined {
  const bySpace = new Map<number, Pair[]>()
  for (const one of pairs) {
    const alike = bySpace.get(Math.round(one.space))
    if (alike) alike.push(one)
    else bySpace.set(Math.round(one.space), [one])
  }
  const most = [...bySpace.values()].sort((a, b) => b.length - a.length)[0]!
  return most.length >= USUAL.times && most.length >= USUAL.share * pairs.length ? most : undefined
}

/** The change that gives two blocks the space that two others have. */
function repairOf({ above, below }: Pair, usual: Pair): { label: string; edit: Edit } {
  const take = (block: string, name: 'spaceAfter' | 'spaceBefore', from: Block): Edit => ({
    kind: 'style',
    block,
    scope: 'base',
    values: { [name]: from.style.base?.[name] ?? null },
  })
  const edits = [take(above.id, 'spaceAfter', usual.above), take(below.id, 'spaceBefore', usual.below)]
  return { label: 'The usual space', edit: { kind: 'batch', label: 'usual space', edits } }
}

/** Blocks of two roles that stand at another distance from each other than everywhere else on the site. */
export const spaces: Check = ({ blocks, site }) => {
  const ids = new Set(blocks.map((one) => one.id))
  return [...pairsOf(site).values()].flatMap((pairs) => {
    const usual = usualOf(pairs)
    if (!usual) return []
    const px = usual[0]!.space
    return pairs
      .filter(({ below, space }) => {
        const by = Math.abs(space - px)
        return ids.has(below.id) && by >= USUAL.differs.from && by <= USUAL.differs.to
      })
      .map((pair) => {
        const [above, below] = [called({ block: pair.above }, site.language), calledFirst({ block: pair.below }, site.language)]
        return {
          block: pair.below.id,
          fault: false,
          sentence: `${below} stands ${Math.round(pair.space)} px under ${above}; such two are ${Math.round(px)} px apart ${counted(usual.length, 'time', 'times')} on this site.`,
          repair: repairOf(pair, usual[0]!),
        }
      })
  })
}
