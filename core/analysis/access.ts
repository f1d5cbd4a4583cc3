import type { AccessRead } from '#core/render/access-script'
import type { Block } from '#core/blocks/index'
import { calledFirst } from '#core/blocks/called'
import type { Finding, Range } from './finding'

/** Something that keeps who cannot see, hear or point from a page, at some of its views. */
export type AccessFinding = Finding & { fault: boolean; ranges: Range[] }

/** Views that a page is looked at in, at most. */
const MOST_VIEWS = 3
/** The widths at which the access of a page is looked at, px: its first views, each once. */
export const viewsLookedAt = (views: readonly number[]): number[] => [...new Set(views)].slice(0, MOST_VIEWS)

const small = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)

/**
 * What was read of a page at its views, as findings, the gravest first; what holds at several views is one.
 * @param blocks those of the page, by id
 */
export function accessFindings(
  reads: readonly AccessRead[],
  blocks: ReadonlyMap<string, Block>,
  language: string,
): AccessFinding[] {
  const found = new Map<string, AccessFinding>()
  const add = (width: number, { kind, block, ...said }: Omit<AccessFinding, 'ranges'>) => {
    const key = `${kind} ${block ?? ''} ${said.sentence}`
    const known = found.get(key)
    if (known) known.ranges.push({ from: width, to: width })
    else found.set(key, { kind, ...said, ...(block === undefined ? {} : { block }), ranges: [{ from: width, to: width }] })
  }
  const named = (id: string | undefined) => {
    const block = id === undefined ? undefined : blocks.get(id)
    return block && calledFirst({ block }, language)
  }
  for (const { width, found: violations, unseen, covered } of [...reads].sort((a, b) => a.width - b.width)) {
    for (const { rule, help, grave, block, state, why } of violations) {
      const where = named(block)
      const pressed = state === '' ? '' : `, once “${state}” is pressed`
      add(width, {
        kind: rule,
        fault: grave,
        sentence: where ? `${where}: ${small(help)}${pressed}.` : `${help}${pressed}.`,
        ...(why === '' ? {} : { why }),
        ...(where && block !== undefined ? { block } : {}),
      })
    }
    const focus = (kind: string, id: string, sentence: string, why: string) =>
      named(id) && add(width, { kind, fault: true, block: id, sentence: `${named(id)} ${sentence}`, why })
    for (const id of unseen)
      focus(
        'unseenFocus',
        id,
        'looks the same with the focus and without.',
        'Who uses the keyboard does not see where they are (WCAG 2.4.7).',
      )
    for (const id of covered)
      focus(
        'coveredFocus',
        id,
        'is covered when it has the focus.',
        'Something that stays in the window lies over it (WCAG 2.4.11).',
      )
  }
  return [...found.values()].sort((a, b) => Number(b.fault) - Number(a.fault))
}
