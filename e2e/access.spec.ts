import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { Page } from '@playwright/test'
import { ACCESS_SCRIPT, type AccessRead } from '#core/render/access-script'
import { group, section, siteOf, worded } from '#core/site/made.fixture'
import { seriousOn } from './axe'
import { expect, saved, test } from './application'
import { keep } from './sweep.fixture'

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

/** What is read of a page that is written here. */
async function readOf(page: Page, body: string, css = ''): Promise<AccessRead> {
  await page.setContent(
    `<!doctype html><html lang="en"><head><title>A page</title><style>${css}</style></head><body><main><h1>Tides</h1>${body}</main></body></html>`,
  )
  await page.evaluate(`${axe}\n${ACCESS_SCRIPT}\nglobalThis.accessOf = accessOf`)
  return page.evaluate(() => (globalThis as unknown as { accessOf: () => Promise<AccessRead> }).accessOf())
}

test('each state that a press makes is looked at, and left as it was', async ({ page }) => {
  const pale = 'style="color:#bbb;background:#fff"'
  const read = await readOf(
    page,
    `<details data-block="question"><summary>How far?</summary><p data-block="answer" ${pale}>Eleven kilometres</p></details>
     <button popovertarget="menu">Menu</button><div id="menu" popover><p data-block="entry" ${pale}>The dome</p></div>
     <p data-block="plain">Dark ink</p>`,
  )
  const contrast = read.found.filter((one) => one.rule === 'color-contrast')
  expect(contrast.map(({ block, state, grave }) => [block, state, grave])).toEqual([
    ['answer', 'How far?', true],
    ['entry', 'Menu', true],
  ])
  expect(await page.locator('details').getAttribute('open')).toBeNull()
  expect(await page.locator('#menu').evaluate((one) => one.matches(':popover-open'))).toBe(false)
})

test('the focus is walked in its order; what does not show it, or is covered, is named', async ({ page }) => {
  const read = await readOf(
    page,
    `<a href="#x" data-block="seen">Seen</a><a href="#y" data-block="unseen" class="bare">Unseen</a>
     <button data-block="off" disabled>Off</button><a href="#z" data-block="hidden" style="display:none">Hidden</a>
     <div class="bar"></div><div class="low"><a href="#w" data-block="covered">Covered</a></div>`,
    'a{display:inline-block;padding:8px}.bare:focus{outline:none}.bar{position:fixed;inset:auto 0 0;height:200px;background:#123}.low{position:fixed;bottom:40px}.bar{z-index:2}',
  )
  expect(read.order.map((one) => one.block)).toEqual(['seen', 'unseen', 'covered'])
  expect(read.unseen).toEqual(['unseen'])
  expect(read.covered).toEqual(['covered'])
})

test('what keeps people out is found in three views, shown on the page, and excused with a reason', async ({ page, app }) => {
  const site = siteOf('Pale', [
    section('opening', [
      { ...worded('heading', 'headone', 'Boats by the hour'), level: 1 } as never,
      worded('text', 'paleone', 'Hardly to be read', { ink: { hex: '#C8C8C8' } }),
      group('row', [{ ...worded('link', 'linkone', 'Read more'), link: { href: 'https://tern.example' } } as never]),
    ]),
  ])
  await page.goto(`${keep(app, site)}/pages/${site.pages[0]!.id}/check`)
  await page.getByRole('tab', { name: 'Access' }).click()
  await expect(page.locator('[data-accessed]')).toHaveAttribute('data-accessed', '1', { timeout: 60_000 })
  const pale = page.locator('[data-finding="color-contrast"]')
  await expect(pale).toContainText('“Hardly to be read”')
  await expect(pale).toContainText('375 px and 768 px and 1280 px')
  await expect(page.locator('[data-finding="linkNames"]')).toContainText('“Read more”')
  await pale.getByRole('button', { name: /Hardly/ }).click()
  await expect(page.locator('[data-worst]')).toHaveAttribute('data-worst', '375')
  await page.getByRole('button', { name: /stops? at 1280 px/ }).click()
  await expect(page.locator('[data-focus-way]')).toBeVisible()
  expect(await seriousOn(page)).toEqual([])
  await pale.getByRole('button', { name: 'Not a fault here …' }).click()
  await pale.getByRole('textbox').fill('It is meant to fade.')
  await pale.getByRole('button', { name: 'Keep as no fault' }).click()
  await saved(page)
  await expect(page.locator('[data-accessed]')).toHaveAttribute('data-accessed', '0', { timeout: 60_000 })
  await expect(page.getByRole('list', { name: 'Not faults here' })).toContainText('It is meant to fade.')
})
