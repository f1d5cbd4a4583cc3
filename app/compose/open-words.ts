import { useEffect } from 'react'
import { hasWords } from '#core/blocks/tree'
import { findBlock } from '#core/site/tree'
import { useFrames } from '../live/frames'
import { useSession, useSessionStore } from '../session/context'

type WordsEditor = typeof import('./words-editor')
let loaded: WordsEditor | undefined
let loading: Promise<WordsEditor> | undefined

/** Loads the words editor, which the first paint does not need. */
export const loadWordsEditor = (): Promise<WordsEditor> =>
  (loading ??= import('./words-editor').then(
    (editor) => (loaded = editor),
    (error: unknown) => {
      // The next attempt asks again.
      loading = undefined
      throw error
    },
  ))

/** Keeps what is typed until the editor stands, so that no key is lost. */
function keepKeys(): { typed: () => string; end: () => void } {
  let typed = ''
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return
    if (event.key.length === 1) typed += event.key
    else if (event.key === 'Backspace') typed = typed.slice(0, -1)
    else return
    event.preventDefault()
    event.stopPropagation()
  }
  window.addEventListener('keydown', onKeyDown, { capture: true })
  return { typed: () => typed, end: () => window.removeEventListener('keydown', onKeyDown, { capture: true }) }
}

/** Opens the words of a block for editing in place, in the view at `index`, while the state says so. */
export function useWordsEditor(index: number): void {
  const store = useSessionStore()
  const frames = useFrames()
  const block = useSession((state) => (state.words?.view === index ? state.words.block : null))

  useEffect(() => {
    if (block === null) return
    const view = frames.get(index)
    const place = findBlock(store.getState().session.site, block)
    const element = view?.frame.find(block)
    if (!place || !view || !element || !hasWords(place.block)) {
      store.setState({ words: null })
      return
    }
    const { block: words } = place
    let close: (() => void) | undefined
    let gone = false
    let keys: ReturnType<typeof keepKeys> | undefined
    if (loaded) close = loaded.mountEditor(store, view, words, element, '')
    else {
      const kept = (keys = keepKeys())
      loadWordsEditor().then(
        (editor) => {
          kept.end()
          if (!gone) close = editor.mountEditor(store, view, words, element, kept.typed())
        },
        () => {
          if (!gone) store.setState({ words: null })
        },
      )
    }
    return () => {
      gone = true
      keys?.end()
      close?.()
    }
  }, [block, frames, index, store])
}
