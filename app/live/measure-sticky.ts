import type { StageView } from './frames'
import { stickyWay } from './sticky-way'

const figure = (value: string) => Number.parseFloat(value) || 0

/** A sticky block in a view, px of the page as the view shows it: where it stands, how far from the top it holds, and its way. */
export type Sticky = { element: HTMLElement; top: number; distance: number; way: number }

export function measureSticky(view: Pick<StageView, 'frame'>, block: string): Sticky | undefined {
  const element = view.frame.find(block)
  const parent = element?.parentElement
  if (!element || !parent) return undefined
  const window = view.frame.document.defaultView!
  const style = window.getComputedStyle(parent)
  const own = window.getComputedStyle(element)
  const [box, around] = [element.getBoundingClientRect(), parent.getBoundingClientRect()]
  const way = stickyWay({
    top: box.top,
    height: box.height,
    margin: figure(own.marginBottom),
    holder: { top: around.top + figure(style.paddingTop), bottom: around.bottom - figure(style.paddingBottom) },
  })
  return { element, top: box.top, distance: figure(own.top), way }
}
