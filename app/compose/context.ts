import { createContext, useContext } from 'react'
import { useStore } from 'zustand'
import type { ComposeState, ComposeStore } from './store'

const ComposeContext = createContext<ComposeStore | null>(null)
export const ComposeProvider = ComposeContext.Provider

/** The store of the Compose screen around this part. */
export function useCompose(): ComposeStore {
  const store = useContext(ComposeContext)
  if (!store) throw new Error('This part stands inside the Compose screen only.')
  return store
}

/** A value out of the Compose state; the part is drawn again when it changes. */
export function useComposeState<T>(pick: (state: ComposeState) => T): T {
  return useStore(useCompose(), pick)
}
