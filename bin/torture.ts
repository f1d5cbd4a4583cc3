import { torture } from '../torture/run'

const option = (name: string, otherwise: number): number => {
  const at = process.argv.indexOf(`--${name}`)
  const value = at < 0 ? otherwise : Number(process.argv[at + 1])
  if (!(value > 0)) throw new Error(`--${name} wants a number above 0.`)
  return value
}

/** Most that another request may wait while hostile ones are answered, ms, beyond what the machine itself keeps one waiting; and memory that may be left over, MB. */
const MOST = { wait: 250, memory: 200 }

const minutes = option('minutes', 2)
const seed = option('seed', (Date.now() % 1_000_000) + 1)
console.log(`Seed ${seed}, ${minutes} minutes.`)
const { inputs, kills, cuts, locked, clock, full } = await torture(seed, minutes * 20)
const faults = [
  ...inputs.faults,
  ...[kills, ...(cuts ? [cuts] : [])].flatMap((one) => [
    ...one.faults,
    ...one.lost.map((what) => `lost: ${what}`),
    ...one.doubled.map((what) => `twice: ${what}`),
  ]),
  ...locked,
  ...clock,
  ...(full ?? []),
]
console.log(
  `Hostile inputs: ${inputs.tried}, answered ${Object.entries(inputs.byStatus)
    .map(([status, count]) => `${count} × ${status}`)
    .join(', ')}.`,
)
const { took, bare, during } = inputs.longest
console.log(
  `Another request waited ${Math.round(took)} ms at most, for ${during}, and one to a bare server beside it ${Math.round(bare)} ms (wanted: ${MOST.wait} apart); ${Math.round(inputs.moreMemory)} MB more memory at the end (wanted ${MOST.memory}).`,
)
const said = (name: string, { kills: times, acknowledged, lost, doubled }: typeof kills) =>
  `${name}: ${times}; acknowledged: ${acknowledged}; lost: ${lost.length}; twice: ${doubled.length}.`
console.log(said('Kills', kills))
console.log(cuts ? said('Losses of power', cuts) : 'Losses of power: not tried, since this machine has no C compiler.')
console.log(
  full === null ? 'A full disk: not tried, since this machine lets no file system be made.' : `A full disk: ${full.length} faults.`,
)
console.log(`A locked database: ${locked.length} faults.`)
console.log(`A clock that jumps: ${clock.length} faults.`)
for (const one of faults.slice(0, 40)) console.log(`  ${one}`)
process.exitCode = faults.length > 0 || took - bare > MOST.wait || inputs.moreMemory > MOST.memory ? 1 : 0
