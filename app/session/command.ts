import { redo, type SessionStore, undo } from './store'

/** Something to do, by name, and by its key if it has one. */
export type Command = {
  name: string
  /** Other names that it is found by, with commas between them. */
  also?: string
  /** True for what is named by words of the page: those come after everything else. */
  ofPage?: true
  /** As shown: `G`, `Ctrl Z`. Read by `matches`. */
  key?: string
  run: (store: SessionStore) => void
  /** False where it would do nothing now. */
  possible?: (store: SessionStore) => boolean
}

/** True if a key press is a command's key. */
export function matches(
  command: Command,
  event: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'shiftKey' | 'altKey'>,
): boolean {
  if (!command.key) return false
  const parts = command.key.split(' ')
  const key = parts.at(-1)!
  const modifier = event.ctrlKey || event.metaKey
  const plain = key.length === 1 && /[^A-Z0-9]/.test(key)
  return (
    event.key.toLowerCase() === key.toLowerCase() &&
    modifier === parts.includes('Ctrl') &&
    event.altKey === parts.includes('Alt') &&
    (plain || event.shiftKey === parts.includes('Shift'))
  )
}

/** Undo and redo, which every screen has. */
export const UNDO_COMMANDS: Command[] = [
  { name: 'Undo', key: 'Ctrl Z', run: undo, possible: (store) => store.getState().undo.length > 0 },
  { name: 'Redo', key: 'Ctrl Shift Z', run: redo, possible: (store) => store.getState().redo.length > 0 },
  { name: 'Redo', key: 'Ctrl Y', run: redo, possible: (store) => store.getState().redo.length > 0 },
]
