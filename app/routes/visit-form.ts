import { store } from '#server/database'
import { readBody } from '#server/body'
import { MAX_ENTRY, receiveEntry } from '#server/inbox'
import { PLAYED_POLICY } from '#server/policy'
import { visitor } from '../visitor'
import type { Route } from './+types/visit-form'
import { sentenceOf } from './answers'

const escaped = (text: string) => text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`)

/** What a form of a visited page sends: it is kept in the local inbox, and the page that confirms it follows. */
export async function action({ request, params, context }: Route.ActionArgs) {
  try {
    const sent = new URLSearchParams(new TextDecoder().decode(await readBody(request, MAX_ENTRY, 'What was filled in')))
    const next = receiveEntry(store(), params.siteId, params.formId, sent, context.get(visitor))
    return new Response(null, { status: 303, headers: { Location: next } })
  } catch (error) {
    const { status, sentence } = sentenceOf(error)
    const html = `<!doctype html><html lang="en"><title>Not sent</title><body><p>${escaped(sentence)}</p><p><button onclick="history.back()">Back to the form</button></p></body></html>`
    return new Response(html, {
      status,
      headers: { 'Content-Type': 'text/html; charset=utf-8', 'Content-Security-Policy': PLAYED_POLICY },
    })
  }
}
