import { tokenDeclarations } from '#core/render/guide-rules'
import type { Site } from '#core/site/schema'

/** The roots of all live pages that show a direction. */
function* rootsOf(direction: string): Generator<HTMLElement> {
  for (const frame of document.querySelectorAll<HTMLIFrameElement>('iframe[data-direction]')) {
    const root = frame.dataset.direction === direction ? frame.contentDocument?.documentElement : undefined
    if (root) yield root
  }
}

/**
 * Tries a style guide on every live page of a direction: what differs is written as custom properties, and nothing is
 * printed again. They give way to the stylesheet when the guide has been changed for good.
 */
export function tryGuide(direction: string, now: Pick<Site, 'guide' | 'fonts'>, next: Site['guide']): void {
  const before = new Map(tokenDeclarations(now))
  const changed = tokenDeclarations({ ...now, guide: next }).filter(([name, value]) => before.get(name) !== value)
  for (const root of rootsOf(direction)) for (const [name, value] of changed) root.style.setProperty(name, value)
}

/** Takes away what was tried, where it was not kept. */
export function forgetTries(direction: string): void {
  for (const root of rootsOf(direction)) root.removeAttribute('style')
}
