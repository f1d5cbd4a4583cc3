import { useEffect } from 'react'
import { create } from 'zustand'
import type { Looked } from '../ui/steps'
import { useSession, useSessionStore } from './context'
import { pageOf } from './store'

/** What was found of pages that were run in this tab, by site and page; it stays until they are run again. */
const useAll = create<Record<string, Looked>>(() => ({}))

const useKey = (): string => {
  const { siteId } = useSessionStore().getState()
  const pageId = useSession((state) => pageOf(state).id)
  return `${siteId} ${pageId}`
}

/** Keeps how many faults a part of Check found on the page, once that is known. */
export function useNoted(part: keyof Looked, faults: number | undefined): void {
  const key = useKey()
  useEffect(() => {
    if (faults !== undefined) useAll.setState((all) => ({ [key]: { ...all[key], [part]: faults } }))
  }, [key, part, faults])
}

const NOTHING: Looked = {}

/** What was found of the page so far. */
export function useLooked(): Looked {
  const key = useKey()
  return useAll((all) => all[key] ?? NOTHING)
}
