import { z } from 'zod'
import { editSchema } from '#core/edits/index'
import { MOST_STEPS, type SessionStore, type Step } from './store'

/** Most characters that the steps of a site take in the browser's storage, which holds some five million for all. */
const MOST_CHARACTERS = 1_000_000
/** Steps are written down once nothing was done for a moment, ms, and whenever the screen is left. */
const RESTS = 250

const PREFIX = 'yarrowfinch.steps.'

const stepSchema = z.object({
  edit: editSchema,
  label: z.string().max(400),
  on: z.string().max(400),
  at: z.number(),
})
const historySchema = z.object({ undo: z.array(stepSchema).max(MOST_STEPS), redo: z.array(stepSchema).max(MOST_STEPS) })

type History = { undo: readonly Step[]; redo: readonly Step[] }

/** The steps that were written down for a site; none where nothing was, or what was cannot be read. */
function readHistory(siteId: string): History | undefined {
  try {
    const read = historySchema.safeParse(JSON.parse(localStorage.getItem(PREFIX + siteId) ?? '{}'))
    return read.success ? (read.data as History) : undefined
  } catch {
    return undefined
  }
}

/** Steps without the gestures that they came from: those end with the screen on which they were made. */
const bare = (steps: readonly Step[]): Step[] => steps.map(({ gesture: _, ...step }) => step)

/** As many of the newest steps as there is room for. */
function written({ undo, redo }: History): string {
  let [all, again] = [bare(undo), bare(redo)]
  for (;;) {
    const text = JSON.stringify({ undo: all, redo: again })
    if (text.length <= MOST_CHARACTERS || all.length + again.length === 0) return text
    // What lies farthest from now goes first.
    if (all.length >= again.length) all = all.slice(Math.ceil(all.length / 2))
    else again = again.slice(Math.ceil(again.length / 2))
  }
}

function writeHistory(siteId: string, history: History): void {
  const text = written(history)
  try {
    localStorage.setItem(PREFIX + siteId, text)
  } catch {
    // The steps of other sites make room; a browser that keeps nothing at all has them on this screen alone.
    for (const name of Object.keys(localStorage)) if (name.startsWith(PREFIX)) localStorage.removeItem(name)
    try {
      localStorage.setItem(PREFIX + siteId, text)
    } catch {
      // Undo still has them, until the screen is left.
    }
  }
}

/**
 * Keeps one history of a site for this browser: what was done on another screen, before a reload or in another tab can be
 * taken back here as well.
 * @returns a function that stops it
 */
export function keepHistory(store: SessionStore): () => void {
  const { siteId } = store.getState()
  let timer: ReturnType<typeof setTimeout> | undefined
  let taking = false
  const take = () => {
    const history = readHistory(siteId)
    taking = true
    if (history) store.setState(history)
    taking = false
  }
  const write = () => {
    if (timer === undefined) return
    clearTimeout(timer)
    timer = undefined
    writeHistory(siteId, store.getState())
  }
  const onStorage = (event: StorageEvent) => {
    // What is done here and not written down yet is newer.
    if (event.key === PREFIX + siteId && timer === undefined) take()
  }
  take()
  const unsubscribe = store.subscribe((now, before) => {
    if (taking || (now.undo === before.undo && now.redo === before.redo)) return
    clearTimeout(timer)
    timer = setTimeout(write, RESTS)
  })
  window.addEventListener('storage', onStorage)
  window.addEventListener('pagehide', write)
  return () => {
    write()
    unsubscribe()
    window.removeEventListener('storage', onStorage)
    window.removeEventListener('pagehide', write)
  }
}
