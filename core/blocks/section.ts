import type { ElementContent } from 'hast'
import { z } from 'zod'
import { attributes, labelOf } from './element'
import { label } from './fields'
import { guideLineSchema, MOST_LINES } from './guide-line'
import { element } from './html'
import type { Block } from './index'
import type { BlockBase, Kind } from './kind'

/** Jobs that a section may do on a page. */
export const JOBS = [
  'opening',
  'reasons',
  'problem',
  'story',
  'plan',
  'proof',
  'work',
  'prices',
  'timetable',
  'questions',
  'people',
  'sign-up',
  'contact',
  'closing',
  'header',
  'footer',
] as const
export type Job = (typeof JOBS)[number]

/** The class of every section. */
export const BAND = 'band'

const fields = z.strictObject({
  job: z.enum(JOBS),
  ...label,
  guideLines: z.array(guideLineSchema).max(MOST_LINES).optional(),
})
export type Section = BlockBase<'section', typeof fields> & { children: Block[] }

const LANDMARKS: Partial<Record<Job, string>> = { header: 'header', footer: 'footer' }

const hasHeading = (nodes: readonly ElementContent[]): boolean =>
  nodes.some((node) => node.type === 'element' && (/^h[1-6]$/.test(node.tagName) || hasHeading(node.children)))

/** A band without a heading and a name is no section of the document's outline (HTML, 4.3.3), so it is a plain division. */
const tagOf = (job: Job, children: readonly ElementContent[], named: boolean): string =>
  LANDMARKS[job] ?? (named || hasHeading(children) ? 'section' : 'div')

/** The outermost block: a band of the page with one job. */
export const section: Kind<Section> = {
  fields,
  traits: ['layout', 'columns', 'band', 'aligned', 'ink', 'box', 'layers'],
  holds: 'flow',
  sharedClass: () => BAND,
  defaults: () => ({ job: 'reasons', children: [] }),
  element: (block, context) => {
    const name = labelOf(block, context)
    const tag = tagOf(block.job, context.children, 'ariaLabel' in name)
    return element(tag, attributes(block, context, { id: context.anchor, ...name }), context.children)
  },
}
