import { data } from 'react-router'
import { z } from 'zod'
import { readForm } from '#server/body'
import { store } from '#server/database'
import { deleteEntry, listEntries } from '#server/inbox'
import { Inbox } from '../inbox/inbox'
import type { Route } from './+types/inbox'
import { openedSite, pageOfSite, sentenceOf } from './answers'

export function loader({ request, params }: Route.LoaderArgs) {
  const opened = openedSite(request, params)
  const page = pageOfSite(opened.site, params.pageId)
  const { searchParams } = new URL(request.url)
  const asked = Number(searchParams.get('part') ?? 1)
  const words = (searchParams.get('words') ?? '').trim().slice(0, 200)
  const inbox = listEntries(store(), params.siteId, Number.isInteger(asked) ? asked : 1, words)
  const entries = inbox.entries.map((one) => ({ ...one, createdAt: one.createdAt.getTime() }))
  return { ...opened, page, inbox: { ...inbox, entries }, words }
}

/** Takes an entry out of the inbox. */
export async function action({ request, params }: Route.ActionArgs) {
  try {
    const id = z.string().parse((await readForm(request, 0, 'The request')).get('entry'))
    deleteEntry(store(), params.siteId, id)
    return data({})
  } catch (error) {
    const { status, sentence } = sentenceOf(error)
    return data({ problem: sentence }, { status })
  }
}

export const meta = ({ loaderData }: Route.MetaArgs) => [{ title: `Form inbox · ${loaderData?.site.name ?? ''}` }]

export default function InboxRoute({ loaderData }: Route.ComponentProps) {
  return <Inbox {...loaderData} />
}
