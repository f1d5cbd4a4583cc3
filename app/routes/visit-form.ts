import { redirect } from 'react-router'
import { store } from '#server/database'
import { receiveEntry } from '#server/inbox'
import type { Route } from './+types/visit-form'
import { sentenceOf } from './answers'

const escaped = (text: string) => text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`)

/** What a form of a visited page sends: it is kept in the local inbox, and the page that confirms it follows. */
export async function action({ request, params }: Route.ActionArgs) {
  try {
    const sent = new URLSearchParams(await request.text())
    const next = receiveEntry(store(), params.siteId, params.formId, sent)
    return redirect(/^[a-z]+:/i.test(next) ? next : `/visit/${params.siteId}/${next}`, 303)
  } catch (error) {
    const { status, sentence } = sentenceOf(error)
    const html = `<!doctype html><html lang="en"><title>Not sent</title><body><p>${escaped(sentence)}</p><p><button onclick="history.back()">Back to the form</button></p></body></html>`
    return new Response(html, {
      status,
      headers: { 'Content-Type': 'text/html; charset=utf-8', 'Content-Security-Policy': 'sandbox allow-scripts allow-forms' },
    })
  }
}
