import type { Page } from '@playwright/test'
import { readFileSync, writeFileSync } from 'node:fs'
import { readSite } from '#core/formats/site-json'
import { slug } from '#core/render/names'
import type { Site } from '#core/site/schema'
import { type Application, expect, saved, test } from './application'
import { measureAt } from './designer'
import { keep, openBare } from './sweep.fixture'

/** Parts of the page as visitors get it, each by its selector, measured at five widths. */
export type Measured = (selectors: string[], height?: number) => ReturnType<typeof measureAt>

type Built = {
  /** Builds it from a page that has nothing but a plan, with the mouse and the keyboard. */
  build: (page: Page, app: Application) => Promise<void>
  /** What must be measured of it. */
  check: (measured: Measured, page: Page, visit: string) => Promise<void>
}

/** Sections of the first page, with ids by their place: those of two runs are not the same. */
function withoutIds({ pages }: Site): unknown {
  const text = JSON.stringify(pages[0]!.sections)
  const ids = [...text.matchAll(/"id":"([\w-]+)"/g)].map(([, id]) => id!)
  return JSON.parse(ids.reduce((all, id, n) => all.replaceAll(`"${id}"`, `"#${n}"`), text))
}

/**
 * Something that is built by presses, and what it must measure. In the long run it is built, and its document must be the
 * one that was kept of it; in every run that one is measured. `YARROWFINCH_KEEP=1` keeps what is built now.
 */
export function built(title: string, { build, check }: Built): void {
  const file = `e2e/built/${slug(title).split('-').slice(0, 6).join('-')}.site.json`
  const measuring = async (page: Page, visit: string) => {
    await check((selectors, height) => measureAt(page, `${visit}/index.html`, selectors, height), page, visit)
  }

  test(title, async ({ page, app }) => {
    await measuring(page, keep(app, readSite(readFileSync(file, 'utf8'))).replace('/sites/', '/visit/'))
  })

  test(`${title}, built by presses`, { tag: '@proof' }, async ({ page, app }) => {
    await openBare(page, app)
    await build(page, app)
    await saved(page)
    const [address] = /^.*\/sites\/[\w-]+/.exec(page.url())!
    const document = await (await page.request.get(`${address}/as/site-json`)).text()
    if (process.env.YARROWFINCH_KEEP) writeFileSync(file, document)
    expect(withoutIds(readSite(document))).toEqual(withoutIds(readSite(readFileSync(file, 'utf8'))))
    await measuring(page, address.replace('/sites/', '/visit/'))
  })
}
