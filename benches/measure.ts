import { appendFileSync } from 'node:fs'
import { ratioInWords } from './figures'
import { type Row, type RowName, ROWS } from './rows'

/** Median time of one run of `work`, ms, out of `runs` after as many to warm up. `prepare` is not counted. */
export function median<T>(runs: number, prepare: () => T, work: (prepared: T) => unknown): number {
  const times: number[] = []
  for (let i = 0; i < runs * 2; i++) {
    const prepared = prepare()
    const start = performance.now()
    work(prepared)
    const took = performance.now() - start
    if (i >= runs) times.push(took)
  }
  return middleOf(times)
}

/** The middle one of some figures. */
export const middleOf = (list: readonly number[]): number => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]!

/** One line of a run: the ratio of a row, what was wanted, and the figures behind it; also kept where the command asks for it. */
export function print(row: RowName, ratio: number, figures: string): void {
  const { what, against, wanted }: Row = ROWS[row]
  if (!Number.isFinite(ratio)) throw new Error(`The ratio of “${what}” is ${ratio}.`)
  const verdict = wanted === null ? '' : ` (wanted at most ${wanted}, ${ratio <= wanted ? 'reached' : 'NOT reached'})`
  console.log(`${what} / ${against}: ${ratioInWords(ratio)}${verdict}. ${figures}`)
  const file = process.env.YARROWFINCH_ROWS
  if (file) appendFileSync(file, `${JSON.stringify({ row, ratio, figures })}\n`)
}
