import { bigText } from './big-text'
import { single, twice } from './entries'
import { forcedColours } from './forced'
import { longer } from './longer'
import { longest } from './longest'
import { noPicture } from './no-picture'
import { print } from './print'
import type { Stress } from './stress'

/** All that a page can be put to, in the order in which it is offered. */
export const STRESSES = {
  longer,
  longest,
  twice,
  single,
  noPicture,
  bigText,
  reflow: { label: 'Reflow at 320 px', note: 'a window of 1280 px at 400 % (WCAG 1.4.10)', widths: [320], height: 256 },
  spacing: {
    label: 'Text spacing',
    note: 'lines, letters and words apart as readers may set them (WCAG 1.4.12)',
    css: '*{line-height:1.5!important;letter-spacing:.12em!important;word-spacing:.16em!important}p{margin-block-end:2em!important}',
  },
  forced: forcedColours,
  print,
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
