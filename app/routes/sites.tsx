import { data } from 'react-router'
import { customAlphabet } from 'nanoid'
import { z } from 'zod'
import { MAX_UNPACKED } from '#core/formats/site-zip'
import { newSite } from '#core/site/defaults'
import { readForm } from '#server/body'
import { store } from '#server/database'
import { openFile } from '#server/formats/index'
import { createSite, getSite, saveEdits, setDeleted } from '#server/sites'
import { listSites } from '#server/listing'
import { lastGood, returnToGood } from '#server/unreadable'
import { Sites } from '../sites/sites'
import type { Route } from './+types/sites'
import { sentenceOf } from './answers'

const makeId = customAlphabet('0123456789abcdefghijklmnopqrstuvwxyz', 8)

export const meta = () => [{ title: 'Sites · Yarrowfinch' }]

export async function loader() {
  const { sites, unreadable } = await listSites(store())
  return {
    unreadable: unreadable.map(({ updatedAt, ...one }) => {
      const good = lastGood(store(), one.id)
      return { ...one, updatedAt: updatedAt.getTime(), good: good && { revision: good.revision, name: good.site.name } }
    }),
    sites: sites.map(({ exportedRevision, updatedAt, ...one }) => ({
      ...one,
      updatedAt: updatedAt.getTime(),
      exported: exportedRevision === null ? 'never' : exportedRevision === one.revision ? 'current' : 'older',
    })),
  }
}

const nameSchema = z.string().trim().min(1, 'A site needs a name.').max(120, 'A name has 120 characters at most.')

/** What the home screen does with sites; every answer names the site, or the problem. */
async function perform(form: FormData): Promise<{ created?: string; deleted?: string }> {
  const id = String(form.get('site') ?? '')
  switch (form.get('intent')) {
    case 'new':
      return { created: createSite(store(), newSite(nameSchema.parse(form.get('name')), makeId)) }
    case 'duplicate': {
      const { site } = getSite(store(), id)
      return { created: createSite(store(), { ...site, name: `${site.name}, copy`.slice(0, 120) }) }
    }
    case 'rename': {
      const { revision } = getSite(store(), id)
      const value = nameSchema.parse(form.get('name'))
      saveEdits(store(), id, revision, [{ key: makeId() + makeId(), edit: { kind: 'site', field: 'name', value } }])
      return {}
    }
    case 'delete':
      setDeleted(store(), id, true)
      return { deleted: id }
    case 'restore':
      setDeleted(store(), id, false)
      return {}
    case 'return':
      returnToGood(store(), id)
      return {}
    case 'import': {
      const file = z.instanceof(File, { error: 'No file was chosen.' }).parse(form.get('file'))
      return { created: await openFile(store(), new Uint8Array(await file.arrayBuffer())) }
    }
    default:
      return z.never({ error: 'There is no such action.' }).parse(form.get('intent'))
  }
}

export async function action({ request }: Route.ActionArgs) {
  try {
    // A site file may weigh what it may unpack to.
    return data(await perform(await readForm(request, MAX_UNPACKED, 'The site file')))
  } catch (error) {
    const { status, sentence } = sentenceOf(error)
    return data({ problem: sentence.replace(/^The request has the wrong shape: /, '') }, { status })
  }
}

export default function SitesRoute({ loaderData }: Route.ComponentProps) {
  return <Sites {...loaderData} />
}
