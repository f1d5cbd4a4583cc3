import type { Page } from '@playwright/test'
import { join } from 'node:path'
import { section, siteOf } from '#core/site/made.fixture'
import type { Site } from '#core/site/schema'
import type { StressName } from '#core/stress/index'
import type { WidthFinding } from '#core/sweep/find'
import { openStore } from '#server/database'
import { createSite } from '#server/sites'
import { bundled } from '../bin/bundle'
import { type Application, composed } from './application'

/** Keeps a site with a running application. @returns its address */
export function keep(app: Application, site: Site): string {
  const store = openStore(join(app.data, 'yarrowfinch.db'))
  const id = createSite(store, site)
  store.close()
  return `${app.url}/sites/${id}`
}

/** Opens a site in Compose that has nothing but a plan, so that what is built on it is laid out and painted fast. */
export async function openBare(page: Page, app: Application, views: readonly number[] = [1280]): Promise<void> {
  const site = { ...siteOf('Bare', [{ ...section('plan', []), job: 'plan', name: 'Plan' }]), views: [...views] }
  await page.goto(`${keep(app, site)}/pages/${site.pages[0]!.id}/compose`, { waitUntil: 'commit' })
  await composed(page)
}

/** Makes what runs pages through their widths known to a page of the application, as `sweepOf(site)`. */
export async function withSweeper(page: Page): Promise<void> {
  const script = await bundled(`import { createSweeper } from './app/live/sweep/sweeper'
    import { openHiddenFrame } from './app/live/hidden-frame'
    import { stressOf } from './core/stress/index'
    import { asForced } from './core/stress/forced'
    const sweeper = createSweeper()
    globalThis.sweepOf = (site) => sweeper.run(site, site.pages[0], { signal: new AbortController().signal })
    globalThis.freshSweepOf = async (site, stress) => {
      const fresh = createSweeper(stress && stressOf(stress))
      const found = await fresh.run(site, site.pages[0], { signal: new AbortController().signal })
      fresh.close()
      return found
    }
    globalThis.openHiddenFrame = openHiddenFrame
    globalThis.asForced = asForced`)
  await page.evaluate(script)
}

export const sweepOf = (page: Page, site: Site): Promise<{ findings: WidthFinding[]; widths: number; took: number }> =>
  page.evaluate((one) => (globalThis as unknown as { sweepOf: (site: unknown) => Promise<never> }).sweepOf(one), site as unknown)

/** The same by a sweeper of its own, of a page that is put to something. */
export const stressedSweepOf = (page: Page, site: Site, stress: StressName): Promise<{ findings: WidthFinding[] }> =>
  page.evaluate(
    ([one, name]) =>
      (globalThis as unknown as { freshSweepOf: (site: unknown, name: unknown) => Promise<never> }).freshSweepOf(one, name),
    [site, stress] as unknown[],
  )
