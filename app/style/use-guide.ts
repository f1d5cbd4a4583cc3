import { createContext, useContext } from 'react'
import { guideEdits } from '#core/edits/guide'
import { currentOf, inDirection } from '#core/site/directions'
import type { Page, Site } from '#core/site/schema'
import type { StyleGuide } from '#core/guide/style-guide'
import { useSessionStore, useSession } from '../session/context'
import { edit, editAll, pageOf } from '../session/store'
import { forgetTries, tryGuide } from '../live/live-tokens'

const ChosenContext = createContext<string | null>(null)
/** The direction whose guide is worked on; the current one, if none is chosen. */
export const ChosenDirection = ChosenContext.Provider

export type GuideAccess = {
  direction: string
  /** The site as that direction shows it: its `guide` is the one that is worked on. */
  site: Site
  page: Page
  guide: StyleGuide
  /** Sets one part for good. */
  set: <P extends keyof StyleGuide>(part: P, value: StyleGuide[P], gesture?: string) => boolean
  /** Sets several parts as one step. */
  setAll: (label: string, next: StyleGuide) => boolean
  /** Shows another guide on the live pages while something is dragged; `set` or `forget` ends it. */
  attempt: (next: StyleGuide) => void
  forget: () => void
}

/** The style guide that is worked on, and the ways to change it. */
export function useGuide(): GuideAccess {
  const store = useSessionStore()
  const whole = useSession((state) => state.session.site)
  const chosen = useContext(ChosenContext)
  const direction = whole.directions.some((one) => one.id === chosen) ? chosen! : currentOf(whole).id
  const site = inDirection(whole, direction)
  const page = useSession(pageOf)
  return {
    direction,
    site,
    page,
    guide: site.guide,
    set: (part, value, gesture) => {
      const made = edit(store, { kind: 'guide', part, value, direction } as never, gesture)
      if (!made) forgetTries(direction)
      return made
    },
    setAll: (label, next) => editAll(store, label, guideEdits(site.guide, next, direction)),
    attempt: (next) => tryGuide(direction, site, next),
    forget: () => forgetTries(direction),
  }
}
