import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { removeFolder } from '#server/remove-folder'
import { finish, start, temporaryFolder } from './application'

/** Makes a folder of data with the demo sites, their pictures already in the width that the views show; tests copy it. */
export default async function makeTemplate(): Promise<() => void> {
  const data = temporaryFolder()
  await finish('npx', ['tsx', 'bin/seed.ts'], { YARROWFINCH_DATA: data })
  const app = await start(data)
  for (const picture of readdirSync(join(data, 'pictures'))) await fetch(`${app.url}/pictures/${picture}?w=1600`)
  await app.stop('SIGKILL')
  process.env.YARROWFINCH_TEMPLATE = data
  return () => removeFolder(data)
}
