import { createContext, useContext } from 'react'
import { useStore } from 'zustand'
import type { StyleGuide } from '#core/guide/style-guide'
import type { SessionState, SessionStore } from './store'

const SessionContext = createContext<SessionStore | null>(null)
export const SessionProvider = SessionContext.Provider

/** The store of the open site around this part. */
export function useSessionStore(): SessionStore {
  const store = useContext(SessionContext)
  if (!store) throw new Error('This part stands on a screen that edits a site only.')
  return store
}

/** A value out of the session's state; the part is drawn again when it changes. */
export function useSession<T>(pick: (state: SessionState) => T): T {
  return useStore(useSessionStore(), pick)
}

const GuideContext = createContext<StyleGuide | null>(null)
/** Another style guide than the site's own, for the fields inside it. */
export const GuideProvider = GuideContext.Provider

/** The style guide whose roles and tokens fields offer. */
export function useOfferedGuide(): StyleGuide {
  const own = useSession((state) => state.session.site.guide)
  return useContext(GuideContext) ?? own
}
