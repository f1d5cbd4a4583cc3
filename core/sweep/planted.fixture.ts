import type { Block, Section } from '#core/blocks/index'
import { chooserOf } from '#core/edits/edits.fixture'
import { group, section, worded } from '#core/site/made.fixture'
import { pixels } from '#core/values/length'
import type { WidthFinding } from './find'

const WORDS = 'the dome opens at dusk and the tea is hot when all of you are here'.split(' ')

/** Margin left of the first column, px, as the breakpoints of a new site have it. */
export const marginAt = (width: number) => Math.max(width < 640 ? 20 : 32, (width - 1120) / 2)

/** A section whose rows touch, so that a fault is as many px as was put in. */
const touching = (id: string, children: Block[]): Section => section(id, children, { rowGap: pixels(0) })

/** A fault that is put into a page, and the widths at which it must be found, worked out from what was put in. */
export type Planted = { kind: string; block: string; from: number; to: number; spare?: number }

/** A block and all that it holds under other ids. */
export function twinOf<B extends Block>(block: B): B {
  const inside = 'children' in block ? { children: block.children.map(twinOf) } : {}
  return { ...block, ...inside, id: `${block.id}k` }
}

/** A page of sections with short words, and its twin with a fault in each section. */
export function pageOf(seed: number): { clean: Section[]; broken: Section[]; planted: Planted[] } {
  const choose = chooserOf(seed)
  const words = (count: number) => Array.from({ length: count }, () => choose.one(WORDS)).join(' ')
  const planted: Planted[] = []
  const sections = Array.from({ length: 1 + choose.number(2) }, (_, n) => {
    const id = `s${n}`
    const heading = worded('heading', `${id}h`, words(2 + choose.number(3)))
    const text = worded('text', `${id}t`, words(12 + choose.number(30)), { maxWidth: { value: 60, unit: 'ch' } })
    const entries = ['a', 'b', 'c'].map((one) => worded('text', `${id}${one}`, words(3 + choose.number(9))))
    const cards = group(`${id}g`, entries, { layout: 'grid', itemWidth: pixels(150 + choose.number(100)) })
    const rest = choose.number(2) === 0 ? [text] : [text, cards]
    const clean = twinOf(touching(id, [heading, ...rest]))
    const broken = (() => {
      const kind = choose.one(['wide', 'long', 'over', 'small'] as const)
      if (kind === 'wide') {
        // It reaches past the window as long as margin and width are more than that; what an engine rounds to a px is one.
        const px = 320 + choose.number(900)
        const at = Array.from({ length: 2560 - 280 + 1 }, (__, i) => 280 + i).filter((width) => marginAt(width) + px >= width + 0.5)
        // The margin changes at breakpoints, where it may fit for some px and not again after them.
        for (const from of at.filter((width) => !at.includes(width - 1)))
          planted.push({
            kind: 'pastWindow',
            block: `${id}x`,
            from,
            to: at.find((width) => width >= from && !at.includes(width + 1))!,
          })
        return touching(id, [heading, ...rest, worded('text', `${id}x`, words(4), { width: pixels(px) })])
      }
      if (kind === 'small') {
        const [least, most] = [6 + choose.number(5), 14 + choose.number(6)]
        const fluid = { from: { at: 300, px: least }, to: { at: 1500, px: most } }
        // The straight line between the two reaches 12 px there.
        const to = Math.ceil(300 + ((12 - least) / (most - least)) * 1200) - 1
        // A px is left to the figures of the size, which are rounded where they are printed.
        planted.push({ kind: 'smallWords', block: `${id}x`, from: 280, to, spare: 1 })
        return touching(id, [
          heading,
          ...rest,
          worded('text', `${id}x`, words(4), { size: { fluid }, maxWidth: { value: 60, unit: 'ch' } }),
        ])
      }
      if (kind === 'over') {
        planted.push({ kind: 'overEachOther', block: `${id}x`, from: 280, to: 2560 })
        return touching(id, [
          heading,
          worded('text', `${id}y`, words(4)),
          worded('text', `${id}x`, words(4), { spaceBefore: pixels(-24) }),
        ])
      }
      const word = choose.one(['Spectrohelioscope', 'Observatoriesatdusk', 'Mmmmmmmmmmmmmm'])
      planted.push({ kind: 'brokenWord', block: `${id}x`, from: 280, to: -1 })
      return touching(id, [heading, ...rest, worded('heading', `${id}x`, word, { size: pixels(44 + choose.number(40)) })])
    })()
    return { clean, broken }
  })
  return { clean: sections.map((one) => one.clean), broken: sections.map((one) => one.broken), planted }
}

/** What of the clean twins was found to be a fault, and what was planted and not found where it is. */
export function notAsPlanted(findings: readonly WidthFinding[], clean: readonly Section[], planted: readonly Planted[]): string[] {
  const wrong = findings
    .filter(({ fault, section: at }) => fault && clean.some(({ id }) => id === at))
    .map((one) => `, clean: ${one.sentence} ${JSON.stringify(one.ranges)}`)
  for (const { kind, block, from, to, spare = 0 } of planted) {
    const found = findings.find((one) => one.kind === kind && one.block === block)
    const wanted = planted.filter((one) => one.block === block)
    const range = found?.ranges.find((one) => one.from === from)
    const ends = to === -1 || (range && Math.abs(range.to - to) <= spare && found!.ranges.length === wanted.length)
    if (!range || !ends) wrong.push(`: ${kind} of ${block} at ${from} to ${to}, not ${JSON.stringify(found?.ranges)}`)
  }
  return wrong
}
