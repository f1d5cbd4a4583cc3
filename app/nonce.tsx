import { createContext, use } from 'react'
import { keepEarly } from './awake/early'

const NonceContext = createContext<string | undefined>(undefined)

/** Gives what is inside it the word by which the page's policy knows its own scripts and styles. */
export const Nonce = NonceContext.Provider

/** The word of the page; `undefined` in the browser, which hides it from scripts. */
export const useNonce = (): string | undefined => use(NonceContext)

/**
 * Runs before any other script. Libraries put style elements into the page by themselves, and not all can be told the
 * word; those that scripts of this page make get it, those that come from elsewhere do not.
 */
const GIVE_NONCE = `{const n=document.currentScript.nonce,c=Document.prototype.createElement;Document.prototype.createElement=function(t,o){const e=c.call(this,t,o);if(String(t).toLowerCase()==='style')e.nonce=n;return e}}`

/** What runs in the page before all else: gives styles the page's word, and keeps what is pressed before it answers. */
export function FirstScripts() {
  const text = `${GIVE_NONCE};(${String(keepEarly)})()`
  return <script nonce={useNonce()} suppressHydrationWarning dangerouslySetInnerHTML={{ __html: text }} />
}

/** The word of this page, for markup that is made in the browser; empty where no policy asks for one. */
export const pageNonce = (): string =>
  typeof document === 'undefined' ? '' : (document.querySelector<HTMLElement>('script[nonce]')?.nonce ?? '')
