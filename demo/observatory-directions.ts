import type { Direction } from '#core/site/directions'
import { DEFAULT_GUIDE, DEFAULT_LOOKS } from '#core/site/defaults'
import type { ButtonKind } from '#core/guide/looks'
import type { StyleGuide, TypeRole } from '#core/guide/style-guide'
import { pixels, token } from '#core/values/length'
import { role } from '#core/values/colour'
import { painting } from './compose'

const type = (name: string, face: string, weight: number, step: number, more: Partial<TypeRole> = {}): TypeRole => ({
  role: name,
  face,
  weight,
  size: { step },
  tracking: 0,
  ...more,
})

const button = (name: string, block: number, inline: number, more: Partial<ButtonKind>): ButtonKind => ({
  name,
  type: 'button',
  rest: {},
  hover: {},
  focus: { ring: role('accent') },
  disabled: { opacity: 0.45 },
  edgeWidth: 0,
  corner: token('corner-3'),
  paddingBlock: pixels(block),
  paddingInline: pixels(inline),
  hit: 44,
  ...more,
})

const ARROW: NonNullable<ButtonKind['icon']>['shape'] = { name: 'arrow-right', nodes: [['path', { d: 'M5 12h14m-7-7 7 7-7 7' }]] }

const types = (heading: { weight: number; tracking: number }): TypeRole[] => [
  type('display', 'heading', heading.weight, 5.5, { tracking: heading.tracking, lines: 'balance' }),
  type('heading-1', 'heading', heading.weight, 5, { tracking: heading.tracking, lines: 'balance' }),
  type('heading-2', 'heading', heading.weight - 20, 3.5, { tracking: heading.tracking / 1.5, lines: 'balance' }),
  type('heading-3', 'heading', heading.weight, 1.5, { lines: 'balance' }),
  type('heading-4', 'text', 620, 0.5, { leading: 1.35 }),
  type('lead', 'text', 400, 1, { lines: 'pretty' }),
  type('body', 'text', 400, 0),
  type('small', 'text', 400, -0.5),
  type('eyebrow', 'text', 560, -0.5, { leading: 1.4, tracking: 0.01 }),
  type('quote', 'heading', 420, 2, { tracking: -0.005, lines: 'pretty', hanging: true }),
  type('button', 'text', 620, 0, { leading: 1.2 }),
  type('label', 'text', 560, -0.5, { leading: 1.4 }),
  type('figure', 'text', 560, 0, { leading: 1.4, figures: 'tabular' }),
]

/** The observatory by lamp light: a warm serif over indigo. */
export const lamplight: StyleGuide = {
  ...DEFAULT_GUIDE,
  colours: [
    { role: 'ground', hex: '#FFFFFF' },
    { role: 'panel', hex: '#F1F0F9' },
    { role: 'ink', hex: '#1A1D2E' },
    { role: 'ink-soft', hex: '#565A74' },
    { role: 'line', hex: '#CFCEE4' },
    { role: 'primary', hex: '#1A1D47' },
    { role: 'night', hex: '#0E0F2B' },
    { role: 'on-primary', hex: '#FFFFFF' },
    { role: 'on-primary-soft', hex: '#CBC9EE' },
    { role: 'accent', hex: '#FFD36B', only: ['calls'] },
    { role: 'on-accent', hex: '#1A1D2E' },
    { role: 'link', hex: '#3B3A9E' },
  ],
  faces: [
    { name: 'heading', family: 'fraunces' },
    { name: 'text', family: 'instrument-sans' },
  ],
  scale: { base: { narrow: 16, wide: 17 }, ratio: { narrow: 1.2, wide: 1.333 }, at: { narrow: 375, wide: 1360 } },
  leading: { small: 1.6, large: 1.04 },
  types: types({ weight: 560, tracking: -0.015 }),
  light: { angle: 20, strength: 0.32, role: 'night' },
  buttons: [
    button('primary', 16, 28, { rest: { fill: role('accent'), ink: role('on-accent') }, hover: { fill: role('on-primary') } }),
    button('secondary', 14, 26, {
      rest: { ink: role('primary'), edge: role('primary') },
      hover: { fill: role('primary'), ink: role('on-primary') },
      edgeWidth: 1.5,
    }),
    button('quiet', 14, 22, { rest: { fill: role('panel'), ink: role('ink') }, hover: { fill: role('line') } }),
    button('link', 10, 0, {
      rest: { ink: role('link') },
      hover: { ink: role('ink') },
      corner: pixels(0),
      hit: 44,
      underline: 'hover',
      icon: { shape: ARROW, place: 'after' },
    }),
  ],
}

/** The observatory as a log book: a grotesque on paper. */
const logbook: StyleGuide = {
  ...lamplight,
  colours: [
    { role: 'ground', hex: '#F8F3E8' },
    { role: 'panel', hex: '#EEE6D5' },
    { role: 'ink', hex: '#24211C' },
    { role: 'ink-soft', hex: '#5B5447' },
    { role: 'line', hex: '#CDC2AB' },
    { role: 'primary', hex: '#1A1D47' },
    { role: 'night', hex: '#22252F' },
    { role: 'on-primary', hex: '#F8F3E8' },
    { role: 'on-primary-soft', hex: '#D2CBBB' },
    { role: 'accent', hex: '#FFD36B', only: ['calls'] },
    { role: 'on-accent', hex: '#24211C' },
    { role: 'link', hex: '#8A3B1C' },
  ],
  faces: [
    { name: 'heading', family: 'bricolage-grotesque' },
    { name: 'text', family: 'source-serif-4' },
  ],
  scale: { base: { narrow: 17, wide: 18 }, ratio: { narrow: 1.18, wide: 1.3 }, at: { narrow: 375, wide: 1360 } },
  leading: { small: 1.55, large: 1 },
  types: types({ weight: 680, tracking: -0.02 }),
  corners: [
    { name: 'corner-1', size: pixels(0) },
    { name: 'corner-2', size: pixels(2) },
    { name: 'corner-3', size: pixels(4) },
  ],
  light: { angle: 0, strength: 0.2, role: 'ink' },
  looks: { ...DEFAULT_LOOKS, list: { marker: 'dash', ink: role('link'), gap: token('space-2') } },
}

/** Both tries; Lamplight is current. */
export const DIRECTIONS: Direction[] = [
  {
    id: 'lamplight',
    name: 'Lamplight',
    note: 'Warm and quiet: what it is like to come in from the dark. Serif headings, indigo, one lamp.',
    mood: [painting('ridge-at-dusk').id, painting('lanterns-on-the-path').id, painting('the-stove').id],
    restyled: {},
  },
  {
    id: 'logbook',
    name: 'Logbook',
    note: 'The book by the door: paper, ink, ruled lines, a plain grotesque set tight.',
    mood: [painting('the-log-book').id, painting('the-long-telescope').id],
    guide: logbook,
    restyled: {},
  },
]
