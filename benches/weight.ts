import { chromium, type Page } from '@playwright/test'
import { transformSync } from 'esbuild'
import { readFileSync } from 'node:fs'
import { webFiles } from '#core/formats/web-files'
import { readSite } from '#core/formats/site-json'
import { CHROMIUM } from '../playwright.config'
import { print } from './measure'

const demo = readSite(readFileSync('demo/observatory.site.json', 'utf8'))
// The twin is of the landing page alone.
const files = webFiles({ ...demo, pages: demo.pages.slice(0, 1) }, 'minified')
const html = files.texts.find((one) => one.file === 'index.html')!.text
const ours = files.texts.find((one) => one.file === 'style.css')!.text
const twin = transformSync(readFileSync('benches/twin/style.css', 'utf8'), {
  loader: 'css',
  minify: true,
  target: 'chrome120',
}).code

/** Boxes of all elements of the page under a stylesheet. */
async function boxes(page: Page, css: string): Promise<number[]> {
  await page.setContent(html.replace(/<link rel="stylesheet"[^>]*>/, `<style>${css}</style>`))
  return page.evaluate(() =>
    [...document.body.querySelectorAll('*')].flatMap((element) => {
      const { left, top, width, height } = element.getBoundingClientRect()
      return [left, top, width, height]
    }),
  )
}

const browser = await chromium.launch(CHROMIUM)
const page = await browser.newPage()
let worst = 0
for (const width of [375, 768, 1280]) {
  await page.setViewportSize({ width, height: 800 })
  const [a, b] = [await boxes(page, ours), await boxes(page, twin)]
  a.forEach((value, i) => (worst = Math.max(worst, Math.abs(value - b[i]!))))
}
await browser.close()
if (worst > 0.5) throw new Error(`The twin is no twin: a box differs by ${worst} px.`)
print(
  'weight',
  ours.length / twin.length,
  `${ours.length} and ${twin.length} bytes; boxes differ by ${worst.toFixed(2)} px at most`,
)
