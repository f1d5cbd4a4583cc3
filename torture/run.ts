import { cpSync } from 'node:fs'
import { join } from 'node:path'
import { removeFolder } from '#server/remove-folder'
import { layDemo, start, temporaryFolder } from '../e2e/application'
import { type InputsResult, tryInputs } from './inputs'
import { type KillsResult, tryKills } from './kills'
import { powerOf } from './power'
import { tryClock, tryFullDisk, tryLocked } from './trouble'

/** What all of it came to. */
export type Torture = {
  inputs: InputsResult
  kills: KillsResult
  /** Kills by which the power went; `null` where no such disk can be made. */
  cuts: KillsResult | null
  locked: string[]
  clock: string[]
  full: string[] | null
}

/** Loads the demo sites into folders, each of its own. */
async function demoData(folders: number): Promise<string[]> {
  const all = Array.from({ length: folders }, temporaryFolder)
  await layDemo(all[0]!)
  for (const other of all.slice(1)) cpSync(all[0]!, other, { recursive: true })
  return all
}

/**
 * Does to a server what hostile files, foreign requests, ended processes and bad disks do.
 * @param seconds how long hostile inputs, kills and losses of power are tried, each
 */
export async function torture(seed: number, seconds: number): Promise<Torture> {
  const folders = await demoData(4)
  const [first, second, third, fourth] = folders as [string, string, string, string]
  try {
    const app = await start(first)
    const inputs = await tryInputs(app, seed, seconds)
    await app.stop('SIGKILL')
    const kills = await tryKills(second, seed, Date.now() + seconds * 1000)
    const beside = temporaryFolder()
    folders.push(beside)
    const power = powerOf(fourth, beside)
    const cuts = power && (await tryKills(fourth, seed, Date.now() + seconds * 1000, power))
    const full = await tryFullDisk(third, join(first, 'small'))
    const locked = await tryLocked(third)
    const clock = await tryClock(third)
    return { inputs, kills, cuts, locked, clock, full }
  } finally {
    for (const data of folders) removeFolder(data)
  }
}
