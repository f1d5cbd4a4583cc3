import type { Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { AxeResults } from 'axe-core'

/** What shows how things look that are disabled, which need not be read. */
export const DISABLED = ['.specimen-states', '[data-state-of$=disabled]', '[data-state=disabled]']

const source = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

/**
 * What axe finds serious or critical on a page itself, without what its frames show: the page is looked at by one call in
 * its own window, since a library is put into every frame otherwise, of which some screens have dozens.
 * @param exclude selectors of what is left out besides
 */
export async function seriousOn(page: Page, exclude: readonly string[] = []): Promise<string[]> {
  await page.evaluate(source)
  const { violations } = await page.evaluate(
    (left) =>
      (window as unknown as { axe: { run: (context: object, options: object) => Promise<AxeResults> } }).axe.run(
        { include: [['html']], exclude: left.map((one) => [one]) },
        { iframes: false, resultTypes: ['violations'] },
      ),
    ['iframe', ...exclude],
  )
  return violations
    .filter((one) => one.impact === 'serious' || one.impact === 'critical')
    .map((one) => `${one.id} ${one.nodes[0]!.html}`)
}
