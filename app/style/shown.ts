import { createContext, useContext } from 'react'
import type { Vision } from '#core/colour/vision'
import type { Measured } from './measures'

/** What the live page beside the guide shows, and what was measured on it. */
export type Shown = {
  /** Marks a block on the page and brings it into sight. */
  show: (block: string | null) => void
  vision: Vision | null
  setVision: (vision: Vision | null) => void
  /** What the views come to; undefined until they have been laid out. */
  measured: Measured | undefined
}

const ShownContext = createContext<Shown>({ show: () => undefined, vision: null, setVision: () => undefined, measured: undefined })
export const ShownProvider = ShownContext.Provider
export const useShown = (): Shown => useContext(ShownContext)
