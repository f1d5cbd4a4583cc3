import { expect, test } from '@playwright/test'
import { demoSite } from '#core/edits/edits.fixture'
import { EditError } from '#core/edits/edit'
import { applyEdit, type Edit } from '#core/edits/index'
import { keptDocuments } from '#core/kept/documents.fixture'
import { pageFile } from '#core/render/own-links'
import { printSite } from '#core/render/site'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { propertyNames, propertyOf, type Scope } from '#core/style/registry'
import { anySetting } from '#core/style/values.fixture'
import { seededRandom } from '#core/values/ids.fixture'

/** How many documents get how many styles at random, at any range of widths and in any state. */
const [DRESSED, STYLES] = process.env.YARROWFINCH_PROOF ? [60, 400] : [10, 250]

/** A few blocks of each kind that get all of them, so that every property meets many others at every range. */
function dressed(seed: number): Site {
  const random = seededRandom(seed)
  const chosen = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!
  let now = demoSite()
  const blocks = [...walkPage(now.pages[0]!)]
  // A few properties at a time, so that they meet each other in all ways; of every other document those of layouts.
  const isLaidOut = seed % 2 === 1
  const kinds = isLaidOut ? ['group', 'group', 'section'] : ['group', 'section', 'text', 'heading', 'picture', 'button']
  const models = kinds.map((kind) => chosen(blocks.filter((block) => block.kind === kind)).id)
  const names = isLaidOut
    ? propertyNames.filter((name) => propertyOf(name).applies.includes('layout'))
    : Array.from({ length: 14 }, () => chosen(propertyNames))
  const scopes: Scope[] = ['base', ...now.breakpoints.slice(1).map((one) => ({ below: one.id })), 'hover', 'focus']
  for (let n = 0; n < STYLES; n++) {
    const { name, value } = anySetting(random, names)
    const edit = { kind: 'style', block: chosen(models), scope: chosen(scopes), values: { [name]: value } } as Edit
    try {
      now = applyEdit(now, edit).site
    } catch (error) {
      if (!(error instanceof EditError)) throw error
    }
  }
  return now
}

/** Declarations of a site's readable stylesheet and pages, those of at-rules that are no style rules left out. */
function declarationsOf(site: Site): string[] {
  const { pages, css } = printSite(site, {
    style: 'readable',
    addresses: { picture: () => 'data:,', page: pageFile, form: () => '#', stylesheet: 'style.css', font: () => 'none' },
  })
  const sheets = [
    css,
    ...pages.flatMap(({ html }) => [...html.matchAll(/<style[^>]*>([\s\S]*?)<\/style>/g)].map(([, text]) => text!)),
  ]
  const inline = pages.flatMap(({ html }) =>
    [...html.matchAll(/ style="([^"]*)"/g)].flatMap(([, text]) => text!.replaceAll('&quot;', '"').split(/;\s*/)),
  )
  const ruled = sheets.flatMap((text) => {
    let skipped = false
    return text.split('\n').flatMap((line) => {
      if (/^\s*@(font-face|property|page|view-transition|counter-style)/.test(line)) skipped = true
      else if (/^\s*}/.test(line)) skipped = false
      return !skipped && /^\s+[-a-z]+:\s.*;$/.test(line) ? [line.trim().slice(0, -1)] : []
    })
  })
  return [...ruled, ...inline].filter((one) => one.includes(':') && !one.startsWith('--'))
}

test('every declaration of random combinations of properties and ranges is one that Chromium takes', async ({ page }) => {
  const seed = Math.floor(Math.random() * 1e6)
  const sites = [...keptDocuments().values(), ...Array.from({ length: DRESSED }, (_, n) => dressed(n + 1)), dressed(seed)]
  const all = [...new Set(sites.flatMap(declarationsOf))]
  expect(all.length).toBeGreaterThan(350)
  const dropped = await page.evaluate(
    (list) =>
      list.filter((one) => {
        const at = one.indexOf(':')
        return !CSS.supports(one.slice(0, at).trim(), one.slice(at + 1).trim())
      }),
    all,
  )
  // Said to other engines, beside what Chromium takes.
  const others = /^(-moz-|-webkit-text-size-adjust|text-size-adjust|hanging-punctuation)/
  expect(
    dropped.filter((one) => !others.test(one)),
    `seed ${seed}`,
  ).toEqual([])
})
