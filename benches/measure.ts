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

export type Row = {
  what: string
  against: string
  ratio: number | null
  wanted: number | null
  figures: string
}

/** One line of the table: the ratio, and what was wanted. */
export function print({ what, against, ratio, wanted, figures }: Row): void {
  const verdict = ratio === null || wanted === null ? '' : ratio <= wanted ? 'reached' : 'NOT reached'
  const shown = ratio === null ? '–' : ratio.toFixed(ratio < 0.1 ? 4 : 2)
  console.log(`${what} / ${against}: ${shown}${wanted === null ? '' : ` (wanted at most ${wanted}, ${verdict})`}. ${figures}`)
}
