import { type AtWidth, seen } from './check'
import type { Fact } from './facts'
import type { Box } from './reading'

/** What is pressed at a width: buttons, fields, and links that stand by themselves; those in running words are exempt (WCAG 2.5.8). */
export function targetsOf(at: AtWidth): { id: string; box: Box; fact: Fact }[] {
  return [...seen(at)].flatMap(({ id, read, fact }) =>
    ['button', 'link', 'field'].includes(fact.block.kind) ? [{ id, box: read.box, fact }] : [],
  )
}

/** How far a point is from a box, px; 0 inside it. */
export const distance = ({ x, y }: { x: number; y: number }, { left, top, right, bottom }: Box): number =>
  Math.hypot(Math.max(left - x, 0, x - right), Math.max(top - y, 0, y - bottom))
