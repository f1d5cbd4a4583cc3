import { counted } from '#core/values/counted'
import { backUp, BackupError, restore } from '#server/backup'
import { databaseFile } from '#server/database'

const USAGE = `Usage: npm run backup -- DIR     copies the database and what its sites hold into a folder, also while the server runs
       npm run restore -- DIR    puts such a copy in their place; the server must not run`

async function main([what, folder, ...more]: string[]): Promise<number> {
  if ((what !== 'backup' && what !== 'restore') || !folder || more.length > 0) {
    console.error(USAGE)
    return 2
  }
  const file = databaseFile()
  const copied = what === 'backup' ? await backUp(file, folder) : await restore(folder, file)
  const files = counted(copied, 'file')
  console.log(
    what === 'backup'
      ? `Backed up into ${folder}, with ${files} beside the database that ${copied === 1 ? 'was' : 'were'} new.`
      : `Restored from ${folder}, with ${files} beside the database that ${copied === 1 ? 'was' : 'were'} missing.`,
  )
  return 0
}

main(process.argv.slice(2))
  .then((code) => (process.exitCode = code))
  .catch((error: unknown) => {
    // Of what the system refuses (a full disk, a folder that may not be written) the system's own words are enough.
    const { code, message } = error as NodeJS.ErrnoException
    if (!(error instanceof BackupError) && code === undefined) throw error
    console.error(message)
    process.exitCode = 1
  })
