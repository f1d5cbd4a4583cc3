import { useCallback, useEffect, useLayoutEffect, useRef } from 'react'
import type { Held } from './early'
import { drawn, playOne } from './play'

/** True once the first screen stands, and once all that it was printed with answers. */
let [stands, up] = [false, false]
/** Parts that are shown and still loaded: of the first screen, or such as take the keys. */
const asleep = new Set<object>()

const heldNow = (): Held => (!up ? 'all' : asleep.size > 0 ? 'keys' : null)

/** Plays what was kept, in its order; stops wherever a press opens what must be loaded first. */
async function play(): Promise<void> {
  const early = window.yarrowfinchEarly!
  if (early.playing) return
  early.playing = true
  while (early.kept.length > 0 && heldNow() === null) {
    // What comes meanwhile is kept as well, and comes after.
    early.held = 'all'
    playOne(early.kept.shift()!)
    await drawn()
  }
  early.playing = false
  early.held = early.kept.length > 0 ? 'all' : heldNow()
}

function changed(): void {
  const early = window.yarrowfinchEarly
  if (!early) return
  if (stands && asleep.size === 0) up = true
  if (up) delete document.documentElement.dataset.asleep
  early.play = () => void play()
  void play()
}

/** Says that the first screen stands: what was pressed before is played once all parts of it answer. */
export function useAwake(): void {
  useEffect(() => {
    stands = true
    changed()
  }, [])
}

/**
 * Holds what would be lost while a part is loaded: everything while the first screen comes up, later on the keys, if the
 * part takes them.
 * @returns to be called once the part stands
 */
export function useAsleep(takesKeys: boolean): () => void {
  const self = useRef({})
  useLayoutEffect(() => {
    const one = self.current
    if (up && !takesKeys) return
    asleep.add(one)
    changed()
    return () => {
      if (asleep.delete(one)) changed()
    }
  }, [takesKeys])
  return useCallback(() => {
    if (asleep.delete(self.current)) changed()
  }, [])
}
