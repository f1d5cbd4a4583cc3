import { walk } from '#core/blocks/tree'
import { type Edit, editSchema } from '#core/edits/index'
import type { Repair } from '#core/analysis/finding'
import { rangeAt } from '#core/grid/columns'
import { layoutAt } from '#core/render/surround'
import type { Site } from '#core/site/schema'
import { findBlock, type Place } from '#core/site/tree'
import { rangeScopes, valuesByRange } from '#core/style/cascade'
import { type PropertyName, type Scope, type StyleValues, valuesIn } from '#core/style/registry'
import type { MakeId } from '#core/values/ids'
import type { WidthFinding } from '../find'
import { withBreakpointBelow } from '../with-breakpoint'
import { clipped } from './clipped'
import { fewerColumns } from './fewer-columns'
import { withSoftHyphens } from './hyphens'
import { heldFigures } from './figures'
import { inDocumentOrder } from './in-document-order'
import { inFront } from './in-front'
import { inset } from './inset'
import { larger } from './larger'
import { lineLength } from './line-length'
import { endsOnOneLine } from './ends-on-one-line'
import { loosen } from './loosen'
import type { Ailing, Remedy, RemedyMaker } from './remedy'
import { smallerWords } from './smaller-words'
import { spacedAlike } from './spaced-alike'
import { stack } from './stack'
import { tableRows } from './table-rows'
import { wider } from './wider'
import { wrap } from './wrap'

/** What makes room, or asks for less of it. */
const ROOM: readonly RemedyMaker[] = [tableRows, loosen, wrap, smallerWords, fewerColumns, stack, wider]

/** What may mend a kind of finding, the gentlest first. Words that only a person can shorten have no remedy that changes them. */
const REMEDIES: { [K in WidthFinding['kind']]: readonly RemedyMaker[] } = {
  pastWindow: ROOM,
  pastHolder: ROOM,
  carriedPast: [clipped],
  cutWords: ROOM,
  coveredWords: [inFront, loosen],
  overEachOther: [loosen, wrap, fewerColumns, stack, wider],
  brokenWord: [tableRows, smallerWords, loosen, fewerColumns, wrap, wider, stack],
  wordsOut: [tableRows, loosen, inset, smallerWords, wider],
  secondLine: [loosen, wrap, wider, fewerColumns, stack, smallerWords],
  secondRow: [smallerWords, wider],
  smallWords: [larger],
  smallTarget: [larger],
  touchTarget: [larger],
  closeTargets: [larger],
  headingLines: [smallerWords, wider, stack],
  loneWord: [lineLength, wider],
  partedFigure: [],
  tightEdge: [inset, loosen],
  longLines: [lineLength],
  shortLines: [wider, fewerColumns, stack],
  splitHeader: [wider],
  rowOfOne: [fewerColumns],
  emptyColumn: [fewerColumns],
  unequalGaps: [spacedAlike],
  unevenEnds: [endsOnOneLine],
  readingOrder: [inDocumentOrder],
  focusCropped: [loosen],
  highSticky: [loosen],
  overWindow: [loosen],
  blownUp: [],
  jump: [],
  idleBreakpoint: [],
}

/** Kinds that links which are folded away may mend. */
const FOLDED: ReadonlySet<WidthFinding['kind']> = new Set(['secondRow', 'splitHeader', 'pastWindow', 'pastHolder', 'overEachOther'])

/** Most changes of one finding that are tried. */
const MOST = 14

/**
 * Changes that could mend a finding, the gentlest first: at the range of widths that it stands in, or below a breakpoint
 * that is set exactly where it ends.
 * @param parts long words of its block with their soft hyphens, as far as they are known
 */
export function candidatesFor(
  finding: WidthFinding,
  site: Site,
  makeId: MakeId,
  parts: ReadonlyMap<string, string> = new Map(),
): Repair[] {
  if (finding.kind === 'idleBreakpoint') {
    const breakpoints = site.breakpoints.filter((one) => one.below !== finding.worst)
    return [{ label: 'Take the breakpoint away', edit: { kind: 'site', field: 'breakpoints', value: breakpoints } }]
  }
  const place = finding.block === undefined ? undefined : findBlock(site, finding.block)
  if (!place) return []
  const range = rangeAt(site.breakpoints, finding.worst)
  const valuesOf = (block: typeof place.block): StyleValues => valuesByRange(block.style, site.breakpoints)[range]!
  const ailing: Ailing = {
    finding,
    block: place.block,
    values: valuesOf(place.block),
    layout: layoutAt(place.block, site.breakpoints, range),
    around: place.ancestors
      .map((block) => ({ block, values: valuesOf(block), layout: layoutAt(block, site.breakpoints, range) }))
      .reverse(),
    grid: site.breakpoints[range]!,
  }
  const remedies = REMEDIES[finding.kind].flatMap((make) => make(ailing))
  // What holds below several breakpoints is mended at the widest of them.
  const { to } = finding.ranges.at(-1)!
  const widest = rangeAt(site.breakpoints, to)
  const scope = rangeScopes(site.breakpoints)[widest]!
  const { below } = site.breakpoints[widest]!
  const id = makeId()
  const added = withBreakpointBelow(site.breakpoints, to + 1, id)
  const changes = remedies
    .flatMap((made): Repair[] => {
      const remedy = { ...made, values: withoutIdle(made.values, placed(site, made.block, range)) }
      if (Object.keys(remedy.values).length === 0) return []
      const where = below === null ? '' : ` below ${below}`
      // What is set for all widths can only be taken away for all.
      const clears = Object.entries(remedy.values).some(([, value]) => value === null)
      if (clears) return [{ label: remedy.label, edit: styled(remedy, scopeOf(site, remedy, scope)) }]
      const plain = { label: `${remedy.label}${where}`, edit: styled(remedy, scope) }
      if (!added || 'size' in remedy.values) return [plain]
      const exact: Edit = {
        kind: 'batch',
        label: 'breakpoint',
        edits: [{ kind: 'site', field: 'breakpoints', value: added }, ...flat(styled(remedy, { below: id }))],
      }
      return [plain, { label: `${remedy.label} below ${to + 1}`, edit: exact }]
    })
    .filter(({ label }, n, all) => all.findIndex((one) => one.label === label) === n)
    .filter(({ edit }) => editSchema.safeParse(edit).success)
  const folded = FOLDED.has(finding.kind) ? foldedBelow(site, place, below) : []
  const held = finding.kind === 'partedFigure' ? heldFigures(place.block, site.language) : []
  return [...folded, ...held, ...withSoftHyphens(place.block, site.language, parts), ...changes].slice(0, MOST)
}

/** The edits of one that is several. */
const flat = (edit: Edit): Edit[] => (edit.kind === 'batch' ? edit.edits : [edit])

/** Folds the links of a navigation away where they have no row of their own. */
function foldedBelow(site: Site, { block, ancestors }: Place, below: number | null): Repair[] {
  const breakpoint = site.breakpoints.find((one) => below !== null && one.below === below)
  const nav = [...walk(block), ...ancestors].find((one) => one.kind === 'nav')
  if (!breakpoint || !nav || nav.folds) return []
  const value = { below: breakpoint.id, as: 'drop' }
  return [{ label: `Fold the links away below ${below}`, edit: { kind: 'field', block: nav.id, field: 'folds', value } }]
}

/** The values of a block that hold at a range. */
const placed = (site: Site, id: string, range: number): StyleValues => {
  const place = findBlock(site, id)
  return place ? valuesByRange(place.block.style, site.breakpoints)[range]! : {}
}

/** A change without what it takes away where nothing is set. */
const withoutIdle = (values: Remedy['values'], now: StyleValues): Remedy['values'] =>
  Object.fromEntries(Object.entries(values).filter(([name, value]) => value !== null || now[name as PropertyName] !== undefined))

/** Where a change that takes something away is made: in the scope that sets it, else for all widths. */
function scopeOf(site: Site, { block, values }: Remedy, scope: Scope): Scope {
  const own = valuesIn(findBlock(site, block)!.block.style, scope)
  return Object.entries(values).every(([name, value]) => value !== null || own?.[name as PropertyName] !== undefined)
    ? scope
    : 'base'
}

function styled({ label, block, values, others = [] }: Remedy, scope: Scope): Edit {
  const [one, ...more] = [{ block, values }, ...others].map((each): Edit => ({
    kind: 'style',
    block: each.block,
    scope,
    values: each.values as StyleValues,
  }))
  return more.length === 0 ? one! : { kind: 'batch', label, edits: [one!, ...more] }
}

/** True where a finding is about words that are long for every room: only a person can shorten them. */
export const asksForWords = ({ kind }: Pick<WidthFinding, 'kind'>): boolean =>
  kind === 'brokenWord' || kind === 'secondLine' || kind === 'headingLines' || kind === 'cutWords'
