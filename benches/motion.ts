import { forget, hear, heardSoFar, until } from './hear'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { openStore } from '#server/database'
import { removeFolder } from '#server/remove-folder'
import { createSite } from '#server/sites'
import type { Block } from '#core/blocks/index'
import type { Motion } from '#core/motion/motion'
import { composed, start, temporaryFolder } from '../e2e/application'
import { CHROMIUM } from '../playwright.config'
import { middleOf as median, print } from './measure'
import { siteOf } from './pages'

// The playhead dragged over forty blocks that move, in three views, against the same transforms set by hand.

const MOVES = 80
const SCRUB: Motion = {
  kind: 'scrub',
  range: { of: 'page', begins: 0, ends: 2000 },
  states: [
    { at: 0, pose: { scale: 1, opacity: 0.4 } },
    { at: 100, pose: { scale: 1.3, down: { value: 60, unit: 'px' } } },
  ],
}

/** The first forty texts of a page with a motion each. */
function moving(): ReturnType<typeof siteOf> {
  const site = siteOf(400)
  let left = 40
  const visit = (block: Block): Block => {
    const inside = 'children' in block ? { children: block.children.map(visit) } : {}
    const moves = block.kind === 'text' && left-- > 0
    const style = moves ? { style: { ...block.style, base: { ...block.style.base, motion: [SCRUB] } } } : {}
    return { ...block, ...inside, ...style } as Block
  }
  return { ...site, pages: site.pages.map((page) => ({ ...page, sections: page.sections.map(visit) as typeof page.sections })) }
}

const data = temporaryFolder()
const store = openStore(join(data, 'yarrowfinch.db'))
const site = moving()
const id = createSite(store, site)
store.close()

const app = await start(data)
const browser = await chromium.launch(CHROMIUM)
try {
  const page = await browser.newPage({ viewport: { width: 1440, height: 900 } })
  await page.goto(`${app.url}/sites/${id}/pages/${site.pages[0]!.id}/compose`)
  await composed(page)
  await page.keyboard.press('j')
  const handle = page.getByRole('slider', { name: 'Playhead' })
  const box = (await handle.boundingBox())!
  const x = box.x + 10
  await hear(page, 'pointermove')
  const moves = async (press: boolean) => {
    await page.mouse.move(x, box.y + 10)
    if (press) await page.mouse.down()
    await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))))
    await forget(page)
    for (let i = 0; i < MOVES; i++) {
      await page.mouse.move(x, box.y + 30 + 3 * i)
      await until(page, i + 1)
    }
    if (press) await page.mouse.up()
    return heardSoFar(page)
  }
  const dragged = await moves(true)
  await page.evaluate(() => {
    let step = 0
    const elements = [...document.querySelectorAll<HTMLIFrameElement>('[data-view] iframe')].flatMap((frame) =>
      [...frame.contentDocument!.querySelectorAll<HTMLElement>('[data-block]')].filter((one) => one.style.scale !== ''),
    )
    if (elements.length < 120) throw new Error(`Only ${elements.length} blocks move.`)
    Object.assign(window, {
      byHand: () => {
        step++
        for (const one of elements) {
          one.style.translate = `0px ${(step % 60) + 0.25}px`
          one.style.scale = String(1 + (step % 60) / 200)
          one.style.opacity = String(0.4 + (step % 60) / 100)
        }
      },
    })
  })
  const byHand = await moves(false)
  const [ours, theirs] = [median(dragged), median(byHand)]
  print('playhead', ours / theirs, `${ours.toFixed(1)} ms against ${theirs.toFixed(1)} ms`)
} finally {
  await browser.close()
  await app.stop('SIGKILL')
  removeFolder(data)
}
