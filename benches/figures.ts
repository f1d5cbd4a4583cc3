import { existsSync, readFileSync } from 'node:fs'
import { type Row, type RowName, ROWS } from './rows'

/** What was measured of a row: its ratios in all runs, the lowest first, and the figures behind the middle one. */
export type Measured = {
  ratios: number[]
  figures: string
  /** Day of the runs, and how busy the machine was when they began: its load average over a minute, and its cores. */
  day: string
  load: string
}

/** Where figures are kept between runs of the command. */
export const KEPT_FIGURES = 'benches/figures.json'

export const keptFigures = (): Partial<Record<RowName, Measured>> =>
  existsSync(KEPT_FIGURES) ? (JSON.parse(readFileSync(KEPT_FIGURES, 'utf8')) as Partial<Record<RowName, Measured>>) : {}

/** A ratio with two figures that mean something. */
export const ratioInWords = (ratio: number): string =>
  ratio < 0.1 ? ratio.toFixed(3) : ratio < 10 ? ratio.toFixed(2) : ratio.toFixed(0)

/** What several runs came to. @param runs ratio and figures of each */
export function measuredOf(runs: readonly { ratio: number; figures: string }[], day: string, load: string): Measured {
  const sorted = [...runs].sort((a, b) => a.ratio - b.ratio)
  return { ratios: sorted.map((one) => one.ratio), figures: sorted[Math.floor(sorted.length / 2)]!.figures, day, load }
}

const [OPENS, CLOSES] = ['<!-- figures: written by npm run bench -- --readme -->', '<!-- end of the figures -->']

/** The table of the README: every row, with the lowest, middle and highest ratio of its runs. */
export function tableOf(kept: Partial<Record<RowName, Measured>>): string {
  const lines = Object.entries(ROWS).map(([name, { what, against, wanted }]: [string, Row]) => {
    const measured = kept[name as RowName]
    const { ratios, figures, day, load } = measured ?? { ratios: [], figures: 'not measured yet', day: '–', load: '–' }
    const three = [ratios[0], ratios[Math.floor(ratios.length / 2)], ratios.at(-1)]
    const shown =
      ratios.length === 0
        ? '–'
        : ratios.length === 1
          ? ratioInWords(ratios[0]!)
          : three.map((one) => ratioInWords(one!)).join(' · ')
    const reached = wanted === null || three[1] === undefined || three[1] <= wanted ? '' : '**'
    return `| ${what} | ${against} | ${reached}${shown}${reached} | ${wanted ?? '–'} | ${figures} | ${day}, ${load} |`
  })
  return [
    OPENS,
    '',
    '| what | against | lowest · middle · highest | wanted | figures of the middle run | day, load |',
    '|---|---|---|---|---|---|',
    ...lines,
    '',
    CLOSES,
  ].join('\n')
}

/** A README with the table in the place of the one that it has. */
export function withTable(readme: string, table: string): string {
  const [from, to] = [readme.indexOf(OPENS), readme.indexOf(CLOSES)]
  if (from < 0 || to < from) throw new Error(`The README has no place for the table, between “${OPENS}” and “${CLOSES}”.`)
  return readme.slice(0, from) + table + readme.slice(to + CLOSES.length)
}
