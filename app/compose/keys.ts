import { useEffect } from 'react'
import { inText } from '../ui/in-text'
import { COMMANDS } from './commands'
import { matches } from '../session/command'
import { useSessionStore } from '../session/context'

/** True where a key belongs to the part that has the focus: fields, lists that are open, dialogs. */
function belongsElsewhere(event: KeyboardEvent): boolean {
  const target = event.target
  if (!(target instanceof HTMLElement)) return false
  if (inText(target) || target.closest('[role="dialog"],[role="menu"],[role="listbox"]')) return true
  const activates = event.key === 'Enter' || event.key === ' '
  return activates && target.closest('button,a,[role="combobox"]') !== null
}

/** Runs commands by their keys. They do nothing while text is edited. */
export function useKeys(): void {
  const store = useSessionStore()
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.defaultPrevented || belongsElsewhere(event) || store.getState().words) return
      const command = COMMANDS.find((one) => matches(one, event))
      if (!command) return
      event.preventDefault()
      if (command.possible?.(store) ?? true) command.run(store)
    }
    window.addEventListener('keydown', onKeyDown)
    return () => window.removeEventListener('keydown', onKeyDown)
  }, [store])
}
