import type { Line, Moment, Motion, Range } from './motion'

/** A box as it is laid out, without what moves it, px of the page. */
export type Box = { left: number; top: number; width: number; height: number }

/** A page at one size of the window: all that motions are counted from, px. */
export type Scene = {
  /** Height of the window. */
  window: number
  /** Height of the page. */
  page: number
  /** The box of a section that stands on the page. */
  section: (id: string) => Box | undefined
}

/** Scroll positions between which a motion happens, px of the page above the window; for one that plays by itself both are where it starts. */
export type Span = { from: number; to: number }

export const lineAt = (line: Line, window: number): number => (line.unit === 'px' ? line.value : (line.value / 100) * window)

const EDGE = { top: 0, middle: 0.5, bottom: 1 } as const

/** The scroll position at which an edge of a box passes a line of the window. */
export const scrollAt = ({ edge, line }: Moment, box: Box, window: number): number =>
  box.top + box.height * EDGE[edge] - lineAt(line, window)

/** The scroll positions of a range; nothing where what it follows is not on the page. */
export function spanOfRange(range: Range, own: Box, scene: Scene): Span | undefined {
  if (range.of === 'page') return { from: range.begins, to: range.ends }
  const box = range.of === 'own' ? own : scene.section(range.of.section)
  if (!box) return undefined
  return { from: scrollAt(range.begins, box, scene.window), to: scrollAt(range.ends, box, scene.window) }
}

/** How many heights of the window parallax that rests at the top of the page goes on for. */
export const OPENING_WAY = 2

/** Where a motion of a block happens; nothing where what it follows is not on the page. */
export function spanOf(motion: Motion, own: Box, scene: Scene): Span | undefined {
  switch (motion.kind) {
    case 'parallax':
      return motion.rests === 'opening'
        ? { from: 0, to: OPENING_WAY * scene.window }
        : { from: own.top - scene.window, to: own.top + own.height }
    case 'reveal': {
      const box = motion.of === undefined ? own : scene.section(motion.of)
      if (!box) return undefined
      const at = scrollAt({ edge: 'top', line: motion.line }, box, scene.window)
      return { from: at, to: at }
    }
    case 'scrub':
      return spanOfRange(motion.range, own, scene)
    case 'opening':
    case 'loop':
    case 'strip':
      return { from: 0, to: 0 }
  }
}

/** The furthest that a page can be scrolled, px. */
export const furthest = ({ page, window }: Scene): number => Math.max(0, page - window)
