import { RUNNING } from '#core/blocks/video'
import { SLIDES, SLIDESHOW } from '#core/blocks/slideshow'
import type { Declaration } from '#core/style/property'
import type { Rule } from './rules'

const rule = (selector: string, declarations: Declaration[]): Rule => ({ selector, below: null, declarations })

/** A control that lies on what is shown: large enough to be hit, and seen on light and dark. */
export const CONTROL: Declaration[] = [
  ['display', 'grid'],
  ['place-items', 'center'],
  ['width', '44px'],
  ['height', '44px'],
  ['border', '0'],
  ['border-radius', '50%'],
  ['color', 'var(--ground)'],
  ['background', 'var(--ink)'],
  ['font', 'inherit'],
  ['cursor', 'pointer'],
]

/** Slides side by side that snap, and what leads from one to the other. */
export const slideshowRules = (hasClass: (name: string) => boolean): Rule[] =>
  !hasClass(SLIDESHOW)
    ? []
    : [
        rule(`.${SLIDESHOW}`, [
          ['display', 'grid'],
          ['grid-template-rows', 'minmax(0, 1fr) auto'],
          ['row-gap', '12px'],
        ]),
        rule(`.${SLIDES}`, [
          ['display', 'flex'],
          ['overflow-x', 'auto'],
          ['overscroll-behavior-x', 'contain'],
          ['scroll-snap-type', 'x mandatory'],
          ['scrollbar-width', 'none'],
        ]),
        rule(`.${SLIDES} > div`, [
          ['flex', '0 0 100%'],
          ['min-width', '0'],
          ['scroll-snap-align', 'start'],
        ]),
        // One picture fills its slide, however high the slideshow is.
        rule(`.${SLIDES} > div > :only-child`, [['height', '100%']]),
        rule('.slide-controls', [
          ['display', 'flex'],
          ['align-items', 'center'],
          ['justify-content', 'center'],
          ['gap', '8px'],
        ]),
        rule('.slide-controls button:not([hidden])', CONTROL),
        rule('.slide-dots', [['display', 'flex']]),
        rule('.slide-dots a', [
          ['display', 'grid'],
          ['place-items', 'center'],
          ['width', '24px'],
          ['height', '44px'],
        ]),
        rule('.slide-dots a::before', [
          ['content', '""'],
          ['width', '10px'],
          ['height', '10px'],
          ['border', '2px solid currentcolor'],
          ['border-radius', '50%'],
        ]),
        rule('.slide-dots a[aria-current]::before', [['background', 'currentcolor']]),
      ]

/** Videos as wide as what holds them; one that runs by itself fills its box, and its control lies in the corner. */
export const videoRules = (has: (tag: string) => boolean, hasClass: (name: string) => boolean): Rule[] => [
  ...(has('video')
    ? [
        rule('video', [
          ['display', 'block'],
          ['width', '100%'],
          ['height', 'auto'],
          ['object-fit', 'cover'],
        ]),
      ]
    : []),
  ...(hasClass(RUNNING)
    ? [
        // What lies behind all, or is held, is positioned already.
        rule(`:where(.${RUNNING})`, [['position', 'relative']]),
        rule(`.${RUNNING} video`, [['height', '100%']]),
        rule(`.${RUNNING} button:not([hidden])`, [
          ...CONTROL,
          ['position', 'absolute'],
          ['right', '12px'],
          ['bottom', '12px'],
          ['z-index', '1'],
        ]),
      ]
    : []),
]
