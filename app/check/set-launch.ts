import type { Launch } from '#core/site/launch'
import { edit, type SessionStore } from '../session/store'

/** Sets some of what is said of the site elsewhere; `undefined` takes a value away. */
export function setLaunch(store: SessionStore, values: { [K in keyof Launch]: Launch[K] | undefined }): void {
  const { launch } = store.getState().session.site
  const next = Object.fromEntries(Object.entries({ ...launch, ...values }).filter(([, value]) => value !== undefined))
  edit(store, { kind: 'site', field: 'launch', value: next })
}
