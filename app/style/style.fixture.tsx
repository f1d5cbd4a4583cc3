import { act, type ReactNode } from 'react'
import { createRoot, type Root } from 'react-dom/client'
import { demoSite } from '#core/edits/edits.fixture'
import { inDirection } from '#core/site/directions'
import type { Site } from '#core/site/schema'
import { SessionProvider, GuideProvider } from '../session/context'
import { type SessionStore, createSessionStore } from '../session/store'
import type { Measured } from './measures'
import { ShownProvider } from './shown'
import { ChosenDirection } from './use-guide'

Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true })
// What the browser has and this document has not.
Object.assign(globalThis, {
  ResizeObserver: class {
    observe() {}
    unobserve() {}
    disconnect() {}
  },
})
Object.assign(Element.prototype, { scrollIntoView() {}, hasPointerCapture: () => false, setPointerCapture() {} })

export type Stage = {
  host: HTMLElement
  store: SessionStore
  site: () => Site
  /** Blocks that were asked to be shown on the page. */
  shown: (string | null)[]
  /** The one element that has this name, or text for a button. */
  named: <E extends HTMLElement = HTMLElement>(name: string | RegExp) => E
  press: (name: string | RegExp) => void
  /** Types into a field, and leaves it. */
  type: (name: string | RegExp, text: string) => void
  end: () => void
}

const nameOf = (element: Element): string =>
  (element.getAttribute('aria-label') ?? element.textContent ?? '').trim().replace(/\s+/g, ' ')

/** Sets the value of an input as a browser does, so that React hears of it. */
function fill(input: HTMLInputElement | HTMLTextAreaElement, text: string): void {
  const prototype = input instanceof HTMLTextAreaElement ? HTMLTextAreaElement.prototype : HTMLInputElement.prototype
  Object.getOwnPropertyDescriptor(prototype, 'value')!.set!.call(input, text)
  input.dispatchEvent(new Event('input', { bubbles: true }))
}

/** Draws a part of the Style screen on the demo site, in one of its directions. */
export function stage(
  part: ReactNode,
  { site = demoSite(), direction = 'lamplight', measured }: { site?: Site; direction?: string; measured?: Measured } = {},
): Stage {
  const store = createSessionStore('site', site.pages[0]!.id, site, 0)
  const shown: (string | null)[] = []
  const host = document.createElement('div')
  document.body.append(host)
  const root: Root = createRoot(host)
  const siteNow = () => store.getState().session.site
  const draw = () =>
    act(() =>
      root.render(
        <SessionProvider value={store}>
          <ChosenDirection value={direction}>
            <GuideProvider value={inDirection(siteNow(), direction).guide}>
              <ShownProvider value={{ show: (block) => shown.push(block), vision: null, setVision: () => undefined, measured }}>
                {part}
              </ShownProvider>
            </GuideProvider>
          </ChosenDirection>
        </SessionProvider>,
      ),
    )
  draw()
  const stop = store.subscribe(draw)
  const named = <E extends HTMLElement>(name: string | RegExp): E => {
    const all = [...host.querySelectorAll<E>('button, input, textarea, [role=button], select')]
    const found = all.filter((one) => (typeof name === 'string' ? nameOf(one) === name : name.test(nameOf(one))))
    if (found.length === 0) throw new Error(`Nothing is called “${String(name)}”. There are: ${all.map(nameOf).join(' | ')}`)
    return found[0]!
  }
  return {
    host,
    store,
    site: siteNow,
    shown,
    named,
    press: (name) => act(() => named(name).dispatchEvent(new MouseEvent('click', { bubbles: true }))),
    type: (name, text) => {
      const input = named<HTMLInputElement>(name)
      act(() => {
        input.focus()
        fill(input, text)
      })
      act(() => input.blur())
    },
    end: () => {
      stop()
      act(() => root.unmount())
      host.remove()
    },
  }
}
