import { data } from 'react-router'
import { z } from 'zod'
import { store } from '#server/database'
import { deleteEntry, listEntries } from '#server/inbox'
import { Inbox } from '../inbox/inbox'
import type { Route } from './+types/inbox'
import { openedSite, pageOfSite, sentenceOf } from './answers'

export function loader({ params }: Route.LoaderArgs) {
  const opened = openedSite(params.siteId)
  const page = pageOfSite(opened.site, params.pageId)
  const entries = listEntries(store(), params.siteId).map((one) => ({ ...one, createdAt: one.createdAt.getTime() }))
  return { ...opened, page, entries }
}

/** Takes an entry out of the inbox. */
export async function action({ request, params }: Route.ActionArgs) {
  try {
    const id = z.string().parse((await request.formData()).get('entry'))
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
