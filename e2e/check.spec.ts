import { group, section, siteOf, worded } from '#core/site/made.fixture'
import { seriousOn } from './axe'
import type { Page } from '@playwright/test'
import { pixels } from '#core/values/length'
import { expect, saved, test } from './application'
import { keep } from './sweep.fixture'

const tight = { size: pixels(14), leading: 1.1, minHeight: pixels(0) }

/** A page that is broken in six ways, each in a section of its own. */
const broken = siteOf('Broken', [
  section('wide', [worded('text', 'wideone', 'Bring a coat and a friend who asks why', { width: pixels(700) })]),
  section('long', [worded('heading', 'longone', 'Spectrohelioscopes', { size: pixels(64) })]),
  section('small', [worded('text', 'smallone', 'Closed when the moon is full', { size: pixels(10) })]),
  section('button', [worded('button', 'buttonone', 'Book an autumn night', { width: pixels(130) })]),
  section('links', [
    group('list', [worded('link', 'linkone', 'Log', tight), worded('link', 'linktwo', 'Map', tight)], {
      layout: 'column',
      rowGap: pixels(0),
    }),
  ]),
  section(
    'over',
    [worded('text', 'overone', 'Dusk falls early'), worded('text', 'overtwo', 'And stars come', { spaceBefore: pixels(-20) })],
    { rowGap: pixels(0) },
  ),
])

const row = (page: Page, kind: string) => page.locator(`[data-finding="${kind}"]`)
const swept = (page: Page) => expect(page.locator('[data-swept]')).toBeVisible()

test('a page that is broken in six ways is found to be, at exact widths; five are repaired by a press each, and one is excused', async ({
  page,
  app,
}) => {
  const site = keep(app, broken)
  const address = `${site}/pages/${broken.pages[0]!.id}`
  await page.goto(`${address}/check`)
  await swept(page)
  await expect(page.locator('[data-faults]')).toHaveAttribute('data-faults', '7')
  // What is found counts in the path.
  const step = page.getByRole('link', { name: /^Check/ })
  await expect(step).toHaveAttribute('title', /▲ Nothing is broken at any width: 7 faults left/)
  // The two links that are too close are two.
  const kinds = ['pastWindow', 'brokenWord', 'smallWords', 'secondLine', 'smallTarget', 'overEachOther']
  for (const kind of kinds) await expect(row(page, kind)).toHaveCount(kind === 'smallTarget' ? 2 : 1)
  expect(await seriousOn(page)).toEqual([])

  // The block is 700 px wide and stands 32 px from the left: it is past windows of 280 to 731 px.
  await expect(row(page, 'pastWindow')).toContainText('280–731 px')
  await expect(row(page, 'smallWords')).toContainText('280–2560 px')

  for (const kind of ['pastWindow', 'brokenWord', 'smallWords', 'secondLine', 'smallTarget']) {
    const before = await row(page, kind).count()
    const finding = row(page, kind).first()
    await finding.getByRole('button').first().click()
    await expect(finding.locator('[data-tried]')).toBeVisible()
    const repair = finding.getByRole('group', { name: 'Repairs' }).getByRole('button').first()
    if (kind === 'brokenWord') await expect(repair).toHaveText('Soft hyphens in “Spectrohelioscopes”')
    await repair.hover()
    const sides = page.getByRole('group', { name: 'The page before and after the repair' })
    await expect(sides.getByRole('button', { name: /^After/ })).toHaveAttribute('aria-pressed', 'true')
    // Both links that are too close come to their least size by one press.
    if (kind === 'smallTarget') await expect(repair).toHaveText('All like it 24 px high')
    await repair.click()
    await expect(row(page, kind)).toHaveCount(kind === 'smallTarget' ? 0 : before - 1)
    await swept(page)
  }
  await expect(page.locator('[data-faults]')).toHaveAttribute('data-faults', '1')

  // One press of undo takes the last back, and redo makes it again.
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(row(page, 'smallTarget')).toHaveCount(2)
  await page.getByRole('button', { name: /^Redo/ }).click()
  await expect(row(page, 'smallTarget')).toHaveCount(0)

  const over = row(page, 'overEachOther')
  await over.getByRole('button').first().click()
  await over.getByRole('button', { name: 'Not a fault here …' }).click()
  await over.getByRole('button', { name: 'Keep as no fault' }).click()
  await expect(over.getByRole('alert')).toBeVisible()
  await over.getByRole('textbox').fill('The words are meant to lie over the heading.')
  await over.getByRole('button', { name: 'Keep as no fault' }).click()
  await expect(page.locator('[data-faults]')).toHaveAttribute('data-faults', '0')
  await expect(step).toHaveAttribute('title', /● Nothing is broken at any width/)
  await saved(page)

  // Kept with the site, with its reason.
  await page.reload()
  await swept(page)
  await expect(page.locator('[data-faults]')).toHaveAttribute('data-faults', '0')
  const excused = page.getByRole('list', { name: 'Not faults here' })
  await excused.getByRole('button').first().click()
  await expect(excused).toContainText('The words are meant to lie over the heading.')
  await excused.getByRole('button', { name: 'It is one' }).click()
  await expect(page.locator('[data-faults]')).toHaveAttribute('data-faults', '1')

  // As visitors get it, nothing is past the window any more.
  await saved(page)
  const visitor = await page.context().newPage()
  await visitor.goto(`${app.url}/visit/${site.split('/').at(-1)}/index.html`)
  await expect(visitor.locator('#long h2')).toHaveText('Spec\u00adtro\u00adhe\u00adlio\u00adscopes')
  for (const width of [280, 320, 640, 731]) {
    await visitor.setViewportSize({ width, height: 800 })
    expect(await visitor.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width)
  }
  await visitor.close()
})
