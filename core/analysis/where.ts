import { walk } from '#core/blocks/tree'
import { blockName } from '#core/blocks/block-name'
import type { Page } from '#core/site/schema'
import type { Finding } from './finding'

/** What of a finding says where it stands; `with` are those that are said on the same line. */
type Stands = Pick<Finding, 'block'> & { section?: string; with?: readonly Stands[] }

/** The number of a section of a page from 0; -1 for what is about the page, or stands on another. */
const sectionOf = (page: Page, { block, section }: Stands): number =>
  page.sections.findIndex((one) => (section === undefined ? [...walk(one)].some(({ id }) => id === block) : one.id === section))

/** The number of a section as the running order has it: `05`. */
const numbered = (n: number) => String(n + 1).padStart(2, '0')

/**
 * Where on its page something was found: number and name of the section, as the running order has them; of several only
 * their numbers. None for what is about the page, or stands on another.
 */
export function whereOf(page: Page, finding: Stands): string | undefined {
  const at = sectionOf(page, finding)
  if (at < 0) return undefined
  if (!finding.with?.length) return `${numbered(at)} ${blockName(page.sections[at]!)}`
  const all = [at, ...finding.with.map((one) => sectionOf(page, one)).filter((n) => n >= 0)].sort((a, b) => a - b).map(numbered)
  return `${all.slice(0, -1).join(', ')} and ${all.at(-1)}`
}

/** A finding in words: `05 Prices: “Book” takes 2 lines; the words of a button take one.` */
export function saidOf(page: Page, finding: Stands & Pick<Finding, 'sentence'>): string {
  const where = whereOf(page, finding)
  return where === undefined ? finding.sentence : `${where}: ${finding.sentence}`
}
