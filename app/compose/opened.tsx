import { useLayoutEffect } from 'react'
import { useFrames } from '../live/frames'
import type { Frame } from '../live/frame'
import { useSession, useSessionStore } from '../session/context'

/** What marks an element that was opened here, and not by the page. */
const OPENED = 'data-opened'
/** What is seen only once it is asked for: what opens in its place, lies over the page, or is folded away. */
const SHUT = 'details, [data-over], [data-fold]'

/** Opens what the blocks stand in in a view, and shuts what was opened for others. @returns true if something changed */
function openAround({ document, find }: Frame, ids: readonly string[]): boolean {
  let changed = false
  const chosen = ids.flatMap((id) => find(id) ?? [])
  for (const one of document.querySelectorAll(SHUT)) {
    // A nav holds what is folded away of it.
    const around = one.hasAttribute('data-fold') ? one.parentElement! : one
    const wanted = chosen.some((each) => around.contains(each))
    if (wanted && !one.hasAttribute('open')) {
      one.setAttribute('open', '')
      one.setAttribute(OPENED, '')
      changed = true
    } else if (!wanted && one.hasAttribute(OPENED)) {
      one.removeAttribute('open')
      one.removeAttribute(OPENED)
      changed = true
    }
  }
  for (const group of document.querySelectorAll('.one-shown')) {
    const panels = [...group.children]
    const shown = panels.find((panel) => chosen.some((each) => panel.contains(each)))
    if (!shown || shown.hasAttribute('data-shown')) continue
    for (const panel of panels) panel.toggleAttribute('data-shown', panel === shown)
    changed = true
  }
  return changed
}

/** Draws nothing: shows in all views what is only seen once it is asked for, as far as the selection is in it. */
export function Opened() {
  const store = useSessionStore()
  const frames = useFrames()
  const layout = useSession((state) => state.layout)
  const selection = useSession((state) => state.selection)
  const also = useSession((state) => state.also)
  useLayoutEffect(() => {
    const ids = selection === null ? [] : [selection, ...also]
    const changed = [...frames.values()].map(({ frame }) => openAround(frame, ids))
    // What is drawn over the views is drawn where things stand now.
    if (changed.includes(true)) store.setState((state) => ({ layout: state.layout + 1 }))
  }, [store, frames, layout, selection, also])
  return null
}
