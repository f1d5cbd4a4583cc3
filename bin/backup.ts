import { backUp, BackupError, restore } from '#server/backup'
import { databaseFile } from '#server/database'

const USAGE = `Usage: npm run backup -- DIR     copies the database and its pictures and fonts into a folder, also while the server runs
       npm run restore -- DIR    puts such a copy in their place; the server must not run`

async function main([what, folder, ...more]: string[]): Promise<number> {
  if ((what !== 'backup' && what !== 'restore') || !folder || more.length > 0) {
    console.error(USAGE)
    return 2
  }
  const file = databaseFile()
  const copied = what === 'backup' ? await backUp(file, folder) : await restore(folder, file)
  const files = `${copied} ${copied === 1 ? 'picture or font' : 'pictures and fonts'}`
  console.log(
    what === 'backup'
      ? `Backed up into ${folder}, with ${files} that were new.`
      : `Restored from ${folder}, with ${files} that were missing.`,
  )
  return 0
}

main(process.argv.slice(2))
  .then((code) => (process.exitCode = code))
  .catch((error: unknown) => {
    if (!(error instanceof BackupError)) throw error
    console.error(error.message)
    process.exitCode = 1
  })
