import { join } from 'node:path'
import { removeFolder } from '#server/remove-folder'
import { finish, start, temporaryFolder } from '../e2e/application'
import { type InputsResult, tryInputs } from './inputs'
import { type KillsResult, tryKills } from './kills'
import { tryClock, tryFullDisk, tryLocked } from './trouble'

/** What all of it came to. */
export type Torture = { inputs: InputsResult; kills: KillsResult; locked: string[]; clock: string[]; full: string[] | null }

/** Loads the demo sites into a folder of their own. */
async function demoData(): Promise<string> {
  const data = temporaryFolder()
  await finish('npx', ['tsx', 'bin/seed.ts'], { YARROWFINCH_DATA: data })
  return data
}

/**
 * Does to a server what hostile files, foreign requests, ended processes and bad disks do.
 * @param seconds how long hostile inputs and kills are tried, each
 */
export async function torture(seed: number, seconds: number): Promise<Torture> {
  const [first, second, third] = [await demoData(), await demoData(), await demoData()]
  try {
    const app = await start(first)
    const inputs = await tryInputs(app, seed, Date.now() + seconds * 1000)
    await app.stop('SIGKILL')
    const kills = await tryKills(second, seed, Date.now() + seconds * 1000)
    const full = await tryFullDisk(third, join(first, 'small'))
    const locked = await tryLocked(third)
    const clock = await tryClock(third)
    return { inputs, kills, locked, clock, full }
  } finally {
    for (const data of [first, second, third]) removeFolder(data)
  }
}
