import { walk } from '#core/blocks/tree'
import { blockName } from '#core/blocks/block-name'
import type { Page } from '#core/site/schema'
import type { Finding } from './finding'

/**
 * Where on its page something was found: number and name of the section, as the running order has them; none for what is
 * about the page, or stands on another.
 */
export function whereOf(page: Page, { block, section }: Pick<Finding, 'block'> & { section?: string }): string | undefined {
  const at = page.sections.findIndex((one) =>
    section === undefined ? [...walk(one)].some(({ id }) => id === block) : one.id === section,
  )
  return at < 0 ? undefined : `${String(at + 1).padStart(2, '0')} ${blockName(page.sections[at]!)}`
}

/** A finding in words: `05 Prices: “Book” takes 2 lines; the words of a button take one.` */
export function saidOf(page: Page, finding: Pick<Finding, 'block' | 'sentence'> & { section?: string }): string {
  const where = whereOf(page, finding)
  return where === undefined ? finding.sentence : `${where}: ${finding.sentence}`
}
