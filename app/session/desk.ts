import { useEffect } from 'react'
import { z } from 'zod'
import { useSessionStore } from './context'
import type { SessionState, SessionStore } from './store'

/**
 * How Compose is arranged on this machine: what is folded away, and how high the tray is. It is no part of any site, and
 * is remembered by the browser.
 */
const deskSchema = z.object({
  order: z.boolean(),
  tray: z.boolean(),
  trayHeight: z.number().min(80).max(2000).nullable(),
  foldedViews: z.array(z.number()).max(20),
  foldedColumns: z.array(z.string().max(40)).max(40),
})
export type Desk = z.infer<typeof deskSchema>

export const FIRST_DESK: Desk = { order: true, tray: true, trayHeight: null, foldedViews: [], foldedColumns: [] }
const KEY = 'yarrowfinch-desk'
const NAMES = Object.keys(FIRST_DESK) as (keyof Desk)[]

const deskOf = (state: SessionState): Desk => Object.fromEntries(NAMES.map((name) => [name, state[name]])) as Desk

/** The desk as it was left; the first one where nothing is remembered, or what is cannot be read. */
function remembered(): Desk {
  try {
    const parsed = deskSchema.partial().safeParse(JSON.parse(localStorage.getItem(KEY) ?? '{}'))
    return { ...FIRST_DESK, ...(parsed.success ? (parsed.data as Partial<Desk>) : {}) }
  } catch {
    return FIRST_DESK
  }
}

function remember(desk: Desk): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(desk))
  } catch {
    // A browser that keeps nothing has the first desk each time.
  }
}

/** Brings the desk back as it was left, once the screen stands as the server printed it, and remembers its changes. */
export function useDesk(): void {
  const store = useSessionStore()
  useEffect(() => {
    store.setState(remembered())
    return store.subscribe((now, before) => {
      if (NAMES.some((name) => now[name] !== before[name])) remember(deskOf(now))
    })
  }, [store])
}

/** Indexes of the views that are open on the stage: all that are not folded, or the one that has the stage. */
export function openViews({ shown, foldedViews, session }: SessionState): number[] {
  const { views } = session.site
  if (shown !== 'all' && shown < views.length) return [shown]
  const open = views.flatMap((width, i) => (foldedViews.includes(width) ? [] : [i]))
  return open.length > 0 ? open : [0]
}

/** Folds a view, or unfolds it; the last one that is open stays so. */
export function toggleView(store: SessionStore, width: number): void {
  const { foldedViews, session } = store.getState()
  if (foldedViews.includes(width)) return store.setState({ foldedViews: foldedViews.filter((one) => one !== width) })
  const open = session.site.views.filter((one) => one !== width && !foldedViews.includes(one))
  if (open.length > 0) store.setState({ foldedViews: [...foldedViews, width] })
}

/** Folds all views but the widest and the narrowest, or unfolds all. */
export function toggleMainAndNarrow(store: SessionStore): void {
  const { views } = store.getState().session.site
  const between = views.filter((one) => one !== Math.max(...views) && one !== Math.min(...views))
  const folded = between.length > 0 && between.every((one) => store.getState().foldedViews.includes(one))
  store.setState({ shown: 'all', foldedViews: folded ? [] : between })
}

/** Folds a column of the tray, or unfolds it. */
export const toggleColumn = (store: SessionStore, name: string): void =>
  store.setState(({ foldedColumns }) => ({
    foldedColumns: foldedColumns.includes(name) ? foldedColumns.filter((one) => one !== name) : [...foldedColumns, name],
  }))
