import type { Site } from '#core/site/schema'
import { EditError } from './edit'
import { applyEdit, type Edit } from './index'
import { replaces } from './merge'

export type PendingEdit = { key: string; edit: Edit; gesture?: string }

/**
 * One client's work on a site: the document that the server has acknowledged, the edits that it has not, and the
 * document with both. Values of this type are never changed; each function gives a new one.
 */
export type Session = {
  confirmed: Site
  revision: number
  pending: readonly PendingEdit[]
  site: Site
}

/** An edit that could not be kept, and why, for the person who made it. */
export type Lost = { edit: Edit; reason: string }

export function openSession(site: Site, revision: number): Session {
  return { confirmed: site, revision, pending: [], site }
}

/**
 * Makes an edit. One of the same gesture takes the place of the pending one before it where both set the same
 * thing, so that a drag sends few edits; `sending` keys are on their way and stay as they are.
 * @returns the session, and the edit that takes this one back
 * @throws EditError
 */
export function makeEdit(
  session: Session,
  made: PendingEdit,
  sending: ReadonlySet<string> = new Set(),
): { session: Session; inverse: Edit } {
  const { site, inverse } = applyEdit(session.site, made.edit)
  const last = session.pending.at(-1)
  const merges =
    last && made.gesture !== undefined && last.gesture === made.gesture && !sending.has(last.key) && replaces(made.edit, last.edit)
  const pending = merges ? [...session.pending.slice(0, -1), { ...made, key: last.key }] : [...session.pending, made]
  return { session: { ...session, site, pending }, inverse }
}

/** Takes edits that the server has kept, or that it refused, off the pending ones. */
export function settle(
  session: Session,
  sent: readonly string[],
  revision: number,
  refused: readonly { key: string; reason: string }[],
): { session: Session; lost: Lost[] } {
  const reasons = new Map(refused.map((one) => [one.key, one.reason]))
  const lost: Lost[] = []
  let { confirmed } = session
  for (const { key, edit } of session.pending) {
    if (!sent.includes(key)) continue
    const reason = reasons.get(key)
    if (reason !== undefined) lost.push({ edit, reason })
    else confirmed = applyEdit(confirmed, edit).site
  }
  const pending = session.pending.filter((one) => !sent.includes(one.key))
  if (lost.length === 0) return { session: { confirmed, revision, pending, site: session.site }, lost }
  const again = reapply(confirmed, pending)
  return {
    session: { confirmed, revision, pending: again.pending, site: again.site },
    lost: [...lost, ...again.lost],
  }
}

/** Takes in edits made elsewhere, and makes this client's own again on top. What no longer applies is named. */
export function catchUp(
  session: Session,
  missed: readonly { key: string; edit: Edit }[],
  revision: number,
): { session: Session; lost: Lost[] } {
  let { confirmed } = session
  for (const { edit } of missed) confirmed = applyEdit(confirmed, edit).site
  const known = new Set(missed.map((one) => one.key))
  const again = reapply(
    confirmed,
    session.pending.filter((one) => !known.has(one.key)),
  )
  return { session: { confirmed, revision, pending: again.pending, site: again.site }, lost: again.lost }
}

function reapply(confirmed: Site, edits: readonly PendingEdit[]): { site: Site; pending: PendingEdit[]; lost: Lost[] } {
  let site = confirmed
  const pending: PendingEdit[] = []
  const lost: Lost[] = []
  for (const one of edits) {
    try {
      site = applyEdit(site, one.edit).site
      pending.push(one)
    } catch (error) {
      if (!(error instanceof EditError)) throw error
      lost.push({ edit: one.edit, reason: error.message })
    }
  }
  return { site, pending, lost }
}
