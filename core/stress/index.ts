import { bigText } from './big-text'
import { single, twice } from './entries'
import { longer } from './longer'
import { longest } from './longest'
import { noPicture } from './no-picture'
import type { Stress } from './stress'

/** The colours of a system whose user has chosen few of them, as the one with white on black has. */
const FORCED = `*,*::before,*::after{background-color:transparent!important;border-color:#fff!important;color:#fff!important;box-shadow:none!important;text-shadow:none!important;background-image:none!important;accent-color:auto!important}html{background:#000!important}a,a *{color:#ff0!important}button,.button,[class^="button"],input,select,textarea{background-color:#000!important;color:#fff!important;border:1px solid #fff!important}`

/** All that a page can be put to, in the order in which it is offered. */
export const STRESSES = {
  longer,
  longest,
  twice,
  single,
  noPicture,
  bigText,
  reflow: { label: 'Reflow at 320 px', note: 'a window of 1280 px at 400 % (WCAG 1.4.10)', width: 320, height: 256 },
  spacing: {
    label: 'Text spacing',
    note: 'lines, letters and words apart as readers may set them (WCAG 1.4.12)',
    css: '*{line-height:1.5!important;letter-spacing:.12em!important;word-spacing:.16em!important}p{margin-block-end:2em!important}',
  },
  forced: { label: 'Forced colours', note: 'as high contrast shows the page, worked out by rules of our own', css: FORCED },
  print: {
    label: 'Print',
    note: 'A4 upright, without grounds, as browsers print',
    css: '*{background-color:transparent!important;background-image:none!important;box-shadow:none!important;text-shadow:none!important;color:#000!important}html{background:#fff!important}video,iframe{visibility:hidden}',
    width: 718,
  },
  rtl: {
    label: 'Right to left',
    note: 'as in Arabic or Hebrew, with the words as they are',
    css: 'html{direction:rtl}',
    mirrored: true,
  },
} satisfies Record<string, Stress>

export type StressName = keyof typeof STRESSES
export const STRESS_NAMES = Object.keys(STRESSES) as StressName[]
export const stressOf = (name: StressName): Stress => STRESSES[name]
