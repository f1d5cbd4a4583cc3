import { idMaker, type MakeId } from './ids'

/** Figures in [0, 1) that follow from a seed, the same on every run (Park and Miller's generator). */
export function seededRandom(seed: number): () => number {
  let state = (seed % 2147483646) + 1
  const next = () => ((state = (state * 16807) % 2147483647), (state - 1) / 2147483646)
  // Small seeds begin alike; a few steps part them.
  for (let i = 0; i < 4; i++) next()
  return next
}

/** Ids that are the same on every run of a test. */
export const testIds = (seed = 1): MakeId => idMaker(seededRandom(seed))
