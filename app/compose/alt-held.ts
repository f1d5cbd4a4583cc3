import { useEffect, useState } from 'react'
import { inText } from '../ui/in-text'

/** True while Alt is held outside of fields and words, from the moment that it is pressed, whatever else is being loaded. */
export function useAltHeld(): boolean {
  const [held, setHeld] = useState(false)
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== 'Alt' || inText(event.target)) return
      // Some browsers open their menu otherwise.
      event.preventDefault()
      setHeld(event.type === 'keydown')
    }
    const leave = () => setHeld(false)
    window.addEventListener('keydown', onKey)
    window.addEventListener('keyup', onKey)
    window.addEventListener('blur', leave)
    return () => {
      window.removeEventListener('keydown', onKey)
      window.removeEventListener('keyup', onKey)
      window.removeEventListener('blur', leave)
    }
  }, [])
  return held
}
