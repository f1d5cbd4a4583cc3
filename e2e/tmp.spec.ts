import { SWEPT } from '#core/sweep/widths'
import { anyPage } from './any-page'
import { test } from './application'
import { measurePage } from './measured-page'
import { keep, sweepOf, withSweeper } from './sweep.fixture'
import { picturesIn } from './honest.fixture'
test('time', async ({ page, app }) => {
  test.setTimeout(580_000)
  await page.goto(`${app.url}/fonts.css`)
  await withSweeper(page)
  const visitor = await page.context().newPage()
  await visitor.goto(`${app.url}/fonts.css`)
  const pictures = await picturesIn(app)
  for (const seed of JSON.parse(process.env.SEEDS ?? '[1,2,3]')) {
    const { site, marks } = anyPage(seed, pictures)
    let t = Date.now()
    const got = await sweepOf(page, site)
    const a = Date.now() - t
    const address = new URL(`${keep(app, site).replace('/sites/', '/visit/')}/index.html`).pathname
    t = Date.now()
    const m = await visitor.evaluate(measurePage, [address, SWEPT.from, SWEPT.to] as const)
    const rng = (ws: number[]) => {
      const o: number[][] = []
      for (const w of [...new Set(ws)].sort((x, y) => x - y)) {
        const l = o.at(-1)
        if (l && l[1] === w - 1) l[1] = w
        else o.push([w, w])
      }
      return o.map((x) => x.join('-')).join(' ')
    }
    const called: any = { cut: 'cutWords', broken: 'brokenWord', covered: 'coveredWords' }
    for (const kind of Object.keys(called))
      for (const mark of marks) {
        const seen = rng(m.filter((x) => x.kind === kind && x.mark === mark).map((x) => x.width))
        const f = got.findings.filter((x) => x.kind === called[kind] && x.block === mark)
        const said = rng(
          f.flatMap((x) => x.ranges.flatMap(({ from, to }) => Array.from({ length: to - from + 1 }, (_, i) => from + i))),
        )
        if (seen !== said)
          console.log(
            'DIFF',
            seed,
            kind,
            mark,
            'measured',
            seen,
            'found',
            said,
            JSON.stringify(f.map((x) => [x.beside, x.sentence])),
          )
      }
    console.log(seed, marks.length, 'check', a, got.widths, 'measure', Date.now() - t)
  }
})
