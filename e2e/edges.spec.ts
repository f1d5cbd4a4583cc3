import { readFileSync } from 'node:fs'
import { measureBlocks } from '../app/live/measure-blocks'
import { causesOfEdge } from '#core/edges/causes'
import { walk } from '#core/blocks/tree'
import { rangeAt } from '#core/grid/columns'
import { findBlock } from '#core/site/tree'
import type { Site } from '#core/site/schema'
import { expect, openSite, test } from './application'
import { designer } from './designer'

const EDGES = ['left', 'right', 'top', 'bottom'] as const

test('the causes of every edge of the page add up to it, in every view, and each is known', async ({ page, app }) => {
  const site = JSON.parse(readFileSync('demo/observatory.site.json', 'utf8')) as Site
  await openSite(page, app, site.name)
  const wrong: string[] = []
  let edges = 0
  for (const width of [1280, 768, 375]) {
    const frame = (await (await page.locator(`[data-view="${width}"] iframe`).elementHandle())!.contentFrame())!
    const range = rangeAt(site.breakpoints, width)
    for (const block of site.pages[0]!.sections.flatMap((section) => [...walk(section)].slice(1))) {
      const place = findBlock(site, block.id)!
      const chain = [...place.ancestors, block].map((one) => one.id)
      const measured = await frame.evaluate(measureBlocks, chain)
      const [section, own] = [measured[0], measured.at(-1)]
      if (measured.length < chain.length || own!.edges.right === own!.edges.left) continue
      for (const edge of EDGES) {
        edges++
        const causes = causesOfEdge(edge, site, place, range, measured)
        const sum = causes.reduce((total, one) => total + one.px, 0)
        const way = {
          left: own!.edges.left - section!.edges.left,
          right: section!.edges.right - own!.edges.right,
          top: own!.edges.top - section!.edges.top,
          bottom: own!.edges.bottom - own!.edges.top,
        }[edge]
        // Parts of less than half a px are left out.
        if (Math.abs(sum - way) > 1.5) wrong.push(`${width} ${block.kind} ${block.id} ${edge}: ${sum} and not ${way}`)
        const unknown = causes.find((one) => one.what.startsWith('as the browser'))
        if (unknown) wrong.push(`${width} ${block.kind} ${block.id} ${edge}: ${unknown.px} ${unknown.what}`)
      }
    }
  }
  expect(edges).toBeGreaterThan(800)
  expect(wrong).toEqual([])
})

test('an edge says why it stands where it does, pointed at and in the tray', async ({ page, app }) => {
  await openSite(page, app, 'Hollin Ridge Observatory')
  const { section, words, figure, tray } = designer(page)
  await section('Contact')
  await words('Text', 'Up the hill road, past the last farm.')
  await figure('Columns spanned', '4')
  await figure('From column', '3')
  await tray.getByText('Why it stands here').click()
  const column = (1120 - 11 * 24) / 12
  const left = `margin 80 (1120 centred in 1280) + 2 columns ${Number((2 * column).toFixed(1))} + 2 gutters 48 = ${Number((128 + 2 * column).toFixed(1))}`
  await expect(tray.getByText(left)).toBeVisible()
  await page.keyboard.press('d')
  await expect(page.locator('[data-view="1280"] [data-distances]')).toBeAttached()
  await page.locator('[data-view="1280"] [data-edge="left"]').hover()
  await expect(page.locator('[data-view="1280"]').getByText(left)).toBeVisible()
})
