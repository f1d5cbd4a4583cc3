import { createContext, useContext } from 'react'
import type { Frame } from './frame'

export type Box = { left: number; top: number; width: number; height: number }

/** A view on the stage: its frame and the scale that it is drawn at. */
export type StageView = {
  index: number
  width: number
  scale: number
  frame: Frame
  /** Space under each section that only aligns the rows, px of the page. */
  gaps: ReadonlyMap<string, number>
}

/** The views on the stage, by index; shared by all that is drawn over them. */
export type Frames = Map<number, StageView>

const FramesContext = createContext<Frames>(new Map())
export const FramesProvider = FramesContext.Provider
export const useFrames = (): Frames => useContext(FramesContext)

/** The box of a block in a view, in px of the screen, from the view's top left corner. */
export function boxOf({ frame, scale }: StageView, id: string): Box | undefined {
  const element = frame.find(id)
  return element ? boxOfElement(element, scale) : undefined
}

export function boxOfElement(element: Element, scale: number): Box {
  const { left, top, width, height } = element.getBoundingClientRect()
  return { left: left * scale, top: top * scale, width: width * scale, height: height * scale }
}

/** The id of the innermost block at a point of the screen, measured from the view's top left corner. */
export function blockAt({ frame, scale }: StageView, x: number, y: number): string | undefined {
  const element = frame.document.elementFromPoint(x / scale, y / scale)
  return element?.closest<HTMLElement>('[data-block]')?.dataset.block
}
