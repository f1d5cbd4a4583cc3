import { idMaker, type MakeId } from './ids'

/** Ids that are the same on every run of a test. */
export function testIds(seed = 1): MakeId {
  let state = seed
  // Park and Miller's generator.
  return idMaker(() => ((state = (state * 16807) % 2147483647), state / 2147483647))
}
