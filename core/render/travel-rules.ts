import type { Site } from '#core/site/schema'
import type { Declaration } from '#core/style/property'
import { short } from '#core/values/short'
import type { Rule } from './rules'

const wanted = (selector: string, declarations: Declaration[]): Rule => ({ selector, below: null, declarations, when: 'wanted' })

/** Pages that slide: the one goes to the left, the other comes from the right. */
const SLIDES: Rule[] = [
  { selector: 'page-goes', below: null, declarations: [], frames: [{ at: 'to', declarations: [['translate', '-100vw']] }] },
  { selector: 'page-comes', below: null, declarations: [], frames: [{ at: 'from', declarations: [['translate', '100vw']] }] },
]

/** How visitors get from place to place; nothing travels for those who want no motion. */
export function travelRules({ travel }: Pick<Site, 'travel'>): Rule[] {
  if (!travel) return []
  const { smooth, below, change } = travel
  const time = `${short(change?.seconds ?? 0)}s`
  const pages = change?.kind === 'slide' ? '::view-transition-new(root)' : '::view-transition-group(*)'
  return [
    ...(below
      ? [{ selector: 'html', below: null, declarations: [['scroll-padding-top', `${short(below)}px`]] } satisfies Rule]
      : []),
    ...(smooth ? [wanted('html', [['scroll-behavior', 'smooth']])] : []),
    ...(change ? [wanted('@view-transition', [['navigation', 'auto']])] : []),
    ...(change?.kind === 'fade' ? [wanted(pages, [['animation-duration', time]])] : []),
    ...(change?.kind === 'slide'
      ? [
          wanted('::view-transition-old(root)', [['animation', `page-goes ${time} ease-in-out both`]]),
          wanted(pages, [['animation', `page-comes ${time} ease-in-out both`]]),
          wanted('::view-transition-group(*)', [['animation-duration', time]]),
          ...SLIDES,
        ]
      : []),
  ]
}
