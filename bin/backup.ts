import { resolve } from 'node:path'
import { counted } from '#core/values/counted'
import { backUp, BackupError, restore } from '#server/backup'
import { databaseFile } from '#server/database'

const USAGE = `Usage: npm run backup -- DIR     copies the database and what its sites hold into a folder, also while the server runs
       npm run restore -- DIR    puts such a copy in their place; the server must not run`

type Say = (line: string) => void

async function done([what, folder, ...more]: readonly string[], say: Say, complain: Say): Promise<number> {
  if ((what !== 'backup' && what !== 'restore') || !folder || more.length > 0) {
    complain(USAGE)
    return 2
  }
  const file = databaseFile()
  const copied = what === 'backup' ? await backUp(file, folder) : await restore(folder, file)
  const files = counted(copied, 'file')
  say(
    what === 'backup'
      ? `Backed up into ${folder}, with ${files} beside the database that ${copied === 1 ? 'was' : 'were'} new.`
      : `Restored from ${folder}, with ${files} beside the database that ${copied === 1 ? 'was' : 'were'} missing.`,
  )
  return 0
}

/** The commands: what could not be copied is said, and fails. @returns the exit code */
export async function backup(args: readonly string[], say: Say, complain: Say): Promise<number> {
  try {
    return await done(args, say, complain)
  } catch (error) {
    // Of what the system refuses (a full disk, a folder that may not be written) the system's own words are enough.
    const { code, message } = error as NodeJS.ErrnoException
    if (!(error instanceof BackupError) && code === undefined) throw error
    complain(message)
    return 1
  }
}

if (resolve(process.argv[1] ?? '') === import.meta.filename)
  process.exitCode = await backup(process.argv.slice(2), console.log, console.error)
