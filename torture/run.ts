import { cpSync } from 'node:fs'
import { join } from 'node:path'
import { removeFolder } from '#server/remove-folder'
import { layDemo, start, temporaryFolder } from '../e2e/application'
import { type InputsResult, tryInputs } from './inputs'
import { type KillsResult, tryKills } from './kills'
import { tryClock, tryFullDisk, tryLocked } from './trouble'

/** What all of it came to. */
export type Torture = { inputs: InputsResult; kills: KillsResult; locked: string[]; clock: string[]; full: string[] | null }

/** Loads the demo sites into folders, each of its own. */
async function demoData(folders: number): Promise<string[]> {
  const all = Array.from({ length: folders }, temporaryFolder)
  await layDemo(all[0]!)
  for (const other of all.slice(1)) cpSync(all[0]!, other, { recursive: true })
  return all
}

/**
 * Does to a server what hostile files, foreign requests, ended processes and bad disks do.
 * @param seconds how long hostile inputs and kills are tried, each
 */
export async function torture(seed: number, seconds: number): Promise<Torture> {
  const [first, second, third] = (await demoData(3)) as [string, string, string]
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
