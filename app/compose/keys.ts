import { useEffect } from 'react'
import { hasWords } from '#core/blocks/tree'
import { inText } from '../ui/in-text'
import { COMMANDS } from './commands'
import { matches } from '../session/command'
import { useSessionStore } from '../session/context'
import { type SessionStore, selected } from '../session/store'
import { editWords } from './on-selection'

/** Letters that follow each other within this time are words, ms: half of what a quick typist takes for two. */
const QUICK = 180

/** True where a key belongs to the part that has the focus: fields, lists that are open, dialogs. */
function belongsElsewhere(event: KeyboardEvent): boolean {
  const target = event.target
  if (!(target instanceof HTMLElement)) return false
  if (inText(target) || target.closest('[role="dialog"],[role="menu"],[role="listbox"]')) return true
  const activates = event.key === 'Enter' || event.key === ' '
  return activates && target.closest('button,a,[role="combobox"]') !== null
}

/** True for a letter or figure alone, which may be the first of words. */
const isLetter = (event: KeyboardEvent): boolean =>
  !event.ctrlKey && !event.metaKey && !event.altKey && /^[\p{L}\p{N}]$/u.test(event.key)

/** True while one block with words is selected, so that letters may be meant for it. */
function mayBeTyped(store: SessionStore): boolean {
  const state = store.getState()
  const block = state.also.length === 0 ? selected(state)?.block : undefined
  return block !== undefined && hasWords(block) && !block.locked
}

/**
 * Runs commands by their keys. They do nothing while text is edited. While words are selected, a letter waits for a
 * moment: another letter that follows at once makes the two words, and they are typed into the block.
 * @param play what P does: it leaves the screen
 */
export function useKeys(play: () => void): void {
  const store = useSessionStore()
  useEffect(() => {
    let waiting: { letter: string; run: () => void; timer: number } | undefined
    const runWaiting = () => {
      const now = waiting
      waiting = undefined
      window.clearTimeout(now?.timer)
      now?.run()
    }
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.defaultPrevented || belongsElsewhere(event) || store.getState().words) return
      const letter = isLetter(event) && !event.repeat && mayBeTyped(store)
      // The same key twice is a command twice: few words begin with one letter doubled.
      if (waiting && letter && waiting.letter.toLowerCase() !== event.key.toLowerCase()) {
        event.preventDefault()
        window.clearTimeout(waiting.timer)
        const typed = waiting.letter + event.key
        waiting = undefined
        return editWords(store, typed)
      }
      if (waiting) runWaiting()
      const command = COMMANDS.find((one) => matches(one, event))
      const plays = !command && isLetter(event) && event.key.toLowerCase() === 'p'
      const run = () => {
        if (plays) play()
        else if (command && (command.possible?.(store) ?? true)) command.run(store)
      }
      if (command || letter || plays) event.preventDefault()
      if (!letter) return run()
      const own = (waiting = { letter: event.key, run, timer: 0 })
      // A page that is busy hands over keys late, but before it draws: what was pressed in time counts as in time.
      const ended = () => requestAnimationFrame(() => waiting === own && runWaiting())
      own.timer = window.setTimeout(ended, QUICK)
    }
    window.addEventListener('keydown', onKeyDown)
    return () => {
      window.clearTimeout(waiting?.timer)
      window.removeEventListener('keydown', onKeyDown)
    }
  }, [store, play])
}
