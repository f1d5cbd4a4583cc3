import type { Page } from '@playwright/test'
import type { Block } from '#core/blocks/index'
import type { Site } from '#core/site/schema'
import { sweepOf, withSweeper } from '../e2e/sweep.fixture'
import { onDemo } from './demo-app'
import { middleOf, print } from './measure'
import { siteOf } from './pages'

// A page run through its widths with every check, against giving its frame as many widths and reading the boxes only.

const RUNS = 5

/** Time that it takes to give a page's frame so many widths and to read all boxes at each, ms. */
const boxesOf = (page: Page, site: Site, widths: number): Promise<number> =>
  page.evaluate(
    async ([given, count]) => {
      const one = given as { language: string; pages: unknown[] }
      type Hidden = {
        frame: { document: Document }
        resize: (width: number, height: number) => void
        show: (site: unknown, page: unknown) => Promise<void>
        close: () => void
      }
      const { openHiddenFrame } = globalThis as unknown as { openHiddenFrame: (language: string) => Promise<Hidden> }
      const hidden = await openHiddenFrame(one.language)
      await hidden.show(one, one.pages[0])
      const blocks = [...hidden.frame.document.querySelectorAll('[data-block]')]
      const from = performance.now()
      for (let n = 0; n < count; n++) {
        const width = 280 + Math.round((n * 2280) / (count - 1))
        hidden.resize(width, width >= 1024 ? 800 : width >= 640 ? 1024 : 812)
        for (const block of blocks) block.getBoundingClientRect()
      }
      const took = performance.now() - from
      hidden.close()
      return took
    },
    [site as unknown, widths] as const,
  )

/** A site whose objects are others, so that nothing is remembered of it. */
const anew = (site: Site): Site => JSON.parse(JSON.stringify(site)) as Site

/** The site with other words in one of its blocks: all else stays the same object. */
function edited(site: Site, n: number): Site {
  const [page] = site.pages as [Site['pages'][number]]
  let done = false
  const write = (block: Block): Block => {
    if (done) return block
    if (block.kind === 'heading') {
      done = true
      return { ...block, words: { ...block.words, [site.language]: [`Why people come up ${n}`] } }
    }
    return 'children' in block ? ({ ...block, children: block.children.map(write) } as Block) : block
  }
  const sections = page.sections.map((one, i) => (i === 2 ? (write(one) as typeof one) : one))
  return { ...site, pages: [{ ...page, sections }, ...site.pages.slice(1)] }
}

await onDemo(async (page) => {
  await page.goto(new URL('/', page.url()).href)
  await withSweeper(page)
  const whole = siteOf(140)
  const [swept, read]: [number[], number[]] = [[], []]
  for (let n = 0; n < RUNS; n++) {
    const { took, widths } = await sweepOf(page, anew(whole))
    swept.push(took)
    read.push(await boxesOf(page, whole, widths))
  }
  print('sweep', middleOf(swept) / middleOf(read), `${Math.round(middleOf(swept))} ms against ${Math.round(middleOf(read))} ms`)
  const again = await page.evaluate(
    async (list) => {
      const { sweepOf: run } = globalThis as unknown as { sweepOf: (site: unknown) => Promise<{ took: number }> }
      const sites = list as { pages: { sections: unknown[] }[] }[]
      const first = sites[0]!
      await run(first)
      const times: number[] = []
      // As in a session: all sections but one stay the same objects.
      for (const one of sites.slice(1)) {
        const sections = one.pages[0]!.sections.map((each, i) => (i === 2 ? each : first.pages[0]!.sections[i]))
        times.push((await run({ ...first, pages: [{ ...first.pages[0]!, sections }] })).took)
      }
      return times
    },
    [whole, ...Array.from({ length: RUNS }, (_, n) => edited(whole, n))] as unknown[],
  )
  print('sweep-edit', middleOf(again) / 1000, `${Math.round(middleOf(again))} ms`)
  const thirty = siteOf(380)
  const large = await sweepOf(page, thirty)
  print('sweep-large', large.took / 10_000, `${Math.round(large.took)} ms, ${large.widths} widths`)
})
