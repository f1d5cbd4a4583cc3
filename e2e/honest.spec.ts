import type { WidthFinding } from '#core/sweep/find'
import { SWEPT } from '#core/sweep/widths'
import { runs } from '#core/values/runs.fixture'
import { anyPage } from './any-page'
import { expect, test } from './application'
import { picturesIn } from './honest.fixture'
import { measurePage, type Wrong } from './measured-page'
import { keep, sweepOf, withSweeper } from './sweep.fixture'

/** Twice the pages that are tried in every run; and the pages of the long run, half of them new each time. */
const PAGES = runs(12, 300)
const FRESH = Number(process.env.YARROWFINCH_SEED) || 1000 + (Date.now() % 1_000_000)

/** What Check calls that which the page was measured for. */
const CALLED: Record<Wrong['kind'], readonly string[]> = {
  wide: ['pastWindow'],
  cut: ['cutWords'],
  broken: ['brokenWord'],
  covered: ['coveredWords'],
}

/** Ranges of numbers, as text. */
function inRanges(widths: Iterable<number>): string {
  const sorted = [...new Set(widths)].sort((a, b) => a - b)
  const ranges: [number, number][] = []
  for (const width of sorted) {
    const last = ranges.at(-1)
    if (last && last[1] === width - 1) last[1] = width
    else ranges.push([width, width])
  }
  return ranges.map(([from, to]) => `${from}–${to}`).join(' ')
}

const widthsIn = (findings: readonly WidthFinding[]): number[] =>
  findings.flatMap(({ ranges }) => ranges.flatMap(({ from, to }) => Array.from({ length: to - from + 1 }, (_, n) => from + n)))

/**
 * What is measured of the page's width but for the px at either end of a range at which it is 1 px wider: an engine rounds half
 * a px up or down there, by what it has set before.
 */
function sureOf(measured: readonly Wrong[], said: readonly number[]): Wrong[] {
  const [known, by] = [new Set(said), new Map(measured.map((one) => [one.width, one.by ?? 0]))]
  const isEnd = (width: number) => known.has(width - 1) !== known.has(width + 1)
  const sure = measured.filter(({ width }) => known.has(width) || !isEnd(width) || by.get(width)! > 1)
  const added = said.filter((width) => !by.has(width) && (by.get(width - 1) === 1) !== (by.get(width + 1) === 1))
  return [...sure, ...added.map((width) => ({ kind: 'wide' as const, mark: '', width }))]
}

/** What was measured and is not found where it is, and what is found and was not measured. */
function differences(findings: readonly WidthFinding[], measured: readonly Wrong[], marks: readonly string[]): string[] {
  const wrong: string[] = []
  for (const kind of Object.keys(CALLED) as Wrong['kind'][]) {
    const called = findings.filter((one) => CALLED[kind].includes(one.kind))
    for (const mark of kind === 'wide' ? [''] : marks) {
      const widths = widthsIn(called.filter((one) => mark === '' || one.block === mark))
      const all = measured.filter((one) => one.kind === kind && one.mark === mark)
      const seen = inRanges((kind === 'wide' ? sureOf(all, widths) : all).map((one) => one.width))
      const said = inRanges(widths)
      if (seen !== said) wrong.push(`${kind} ${mark}: measured ${seen || 'nowhere'}, found ${said || 'nowhere'}`)
    }
  }
  return wrong
}

for (const [which, first] of [
  ['the same', 1],
  ['new', FRESH],
] as const)
  test(
    `${which} random pages: what an independent measure of the published page says, at every px, is what Check says`,
    {
      tag: which === 'new' ? '@proof' : [],
    },
    async ({ page, app }) => {
      // Every px of every page, twice: a minute or more for each on a machine that others use as well.
      test.setTimeout(PAGES * 120_000)
      const wrong: string[] = []
      const count = { pages: 0, widths: 0, measured: 0, unsure: 0 }
      await page.goto(`${app.url}/fonts.css`)
      await withSweeper(page)
      const visitor = await page.context().newPage()
      await visitor.goto(`${app.url}/fonts.css`)
      const pictures = await picturesIn(app)
      for (let seed = first; seed < first + PAGES / 2; seed++) {
        const { site, marks } = anyPage(seed, pictures, process.env.YARROWFINCH_PROOF ? 'whole' : 'small')
        const { findings } = await sweepOf(page, site)
        const address = new URL(`${keep(app, site).replace('/sites/', '/visit/')}/index.html`).pathname
        const measure = (way: 'down' | 'up') => visitor.evaluate(measurePage, [address, SWEPT.from, SWEPT.to, way] as const)
        const measured = await measure('down')
        const otherwise = differences(findings, measured, marks)
        // Letters that grow with the window are set a third of a px otherwise after those of other sizes: where the engine itself
        // says two things of a px, by the way that it came, either is right.
        const again = otherwise.length > 0 ? differences(findings, await measure('up'), marks) : []
        const named = (one: string) => one.slice(0, one.indexOf(':'))
        const both = otherwise.filter((one) => again.some((other) => named(other) === named(one)))
        count.unsure += otherwise.length - both.length
        wrong.push(...both.map((one) => `seed ${seed}, ${one}`))
        count.pages++
        count.widths += SWEPT.to - SWEPT.from + 1
        count.measured += new Set(measured.map((one) => `${one.kind} ${one.mark}`)).size
      }
      await visitor.close()
      console.log(
        `${count.pages} pages, ${count.widths} widths, ${count.measured} faults measured, ${wrong.length} told otherwise, ${count.unsure} told otherwise by the engine itself.`,
      )
      expect(count.measured).toBeGreaterThan(PAGES / 4)
      expect(wrong).toEqual([])
    },
  )
