/**
 * How many documents a property is tried on: some in every run of the tests, more in `npm run proof`, which is for a night,
 * and as many as `YARROWFINCH_RUNS` says. Seeds that are not fixed are new each time, and are printed with what fails.
 */
export const runs = (usual: number, proof: number): number =>
  Number(process.env.YARROWFINCH_RUNS) || (process.env.YARROWFINCH_PROOF ? proof : usual)
