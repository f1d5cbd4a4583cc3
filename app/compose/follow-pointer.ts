type Follow = {
  /** Called on each move. */
  move: (event: PointerEvent) => void
  /** Called once at the end: with the release, or with nothing where the press was given up, by Escape or the system. */
  end: (release: PointerEvent | undefined) => void
}

/** Follows the pointer from a press to its release, wherever it goes. Escape gives it up. */
export function followPointer({ move, end }: Follow): void {
  const finish = (event: PointerEvent) => stop(event.type === 'pointerup' ? event : undefined)
  const cancel = (event: KeyboardEvent) => {
    if (event.key !== 'Escape') return
    event.stopPropagation()
    stop(undefined)
  }
  const stop = (release: PointerEvent | undefined) => {
    window.removeEventListener('pointermove', move)
    window.removeEventListener('pointerup', finish)
    window.removeEventListener('pointercancel', finish)
    window.removeEventListener('keydown', cancel, { capture: true })
    end(release)
  }
  window.addEventListener('pointermove', move)
  window.addEventListener('pointerup', finish)
  window.addEventListener('pointercancel', finish)
  // Before the keys of the screen, so that Escape gives up the drag alone.
  window.addEventListener('keydown', cancel, { capture: true })
}
