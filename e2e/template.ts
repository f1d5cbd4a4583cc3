import { cpSync, existsSync, mkdirSync, readdirSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { openStore } from '#server/database'
import { removeFolder } from '#server/remove-folder'
import { getSite, siteIds } from '#server/sites'
import { digest, KEPT } from '../bin/prepare.mjs'
import { type Application, finish, start, temporaryFolder } from './application'

/** What it is made of: the demo, and what keeps sites and makes pictures. */
const MADE_OF = ['server', 'core/site', 'core/picture', 'core/render', 'demo', 'bin/seed.ts', 'e2e/template.ts']

/** Asks for every picture of every page of a site as its visitors and its export do, so that they are made once for all tests. */
async function warm(app: Application, site: string): Promise<void> {
  const text = async (file: string) => (await fetch(`${app.url}/visit/${site}/${file}`)).text()
  const pages = new Set([
    'index.html',
    ...[...(await text('index.html')).matchAll(/href="([\w-]+\.html)/g)].map(([, file]) => file!),
  ])
  const pictures = new Set<string>()
  for (const page of pages) for (const [file] of (await text(page)).matchAll(/pictures\/[\w.-]+/g)) pictures.add(file)
  await Promise.all([...pictures].map((file) => fetch(`${app.url}/visit/${site}/${file}`).then((one) => one.arrayBuffer())))
  await (await fetch(`${app.url}/sites/${site}/as/web`)).arrayBuffer()
}

/** Notes which sites a folder of data has, for those who open their screens by address. */
export function noteSites(data: string): void {
  const store = openStore(join(data, 'yarrowfinch.db'))
  const list = siteIds(store).map((id) => {
    const { site } = getSite(store, id)
    return { name: site.name, id, pages: site.pages.map((page) => ({ id: page.id, name: page.name })) }
  })
  store.close()
  writeFileSync(join(data, 'sites.json'), JSON.stringify(list))
}

/** A folder of data with the demo sites, their pictures in every width that views and visitors ask for. */
async function makeTemplate(): Promise<string> {
  const data = temporaryFolder()
  await finish('npx', ['tsx', 'bin/seed.ts'], { YARROWFINCH_DATA: data })
  const app = await start(data)
  const sites = [...(await (await fetch(app.url)).text()).matchAll(/sites\/([\w-]{10})/g)].map(([, id]) => id!)
  for (const picture of readdirSync(join(data, 'pictures')))
    await (await fetch(`${app.url}/pictures/${picture}?w=1600`)).arrayBuffer()
  for (const site of new Set(sites)) await warm(app, site)
  await app.stop('SIGKILL')
  // The server is gone, so that the database becomes one file again as it is closed.
  noteSites(data)
  return data
}

/** The folder of data that tests begin with; made anew where the application or the demo changed. */
export default async function template(): Promise<void> {
  const name = `template-${digest(MADE_OF).slice(0, 16)}`
  const folder = join(KEPT, name)
  if (!existsSync(folder)) {
    mkdirSync(KEPT, { recursive: true })
    for (const old of readdirSync(KEPT)) if (old.startsWith('template-')) removeFolder(join(KEPT, old))
    const made = await makeTemplate()
    cpSync(made, `${folder}.new`, { recursive: true })
    removeFolder(made)
    renameSync(`${folder}.new`, folder)
  }
  process.env.YARROWFINCH_TEMPLATE = folder
}
