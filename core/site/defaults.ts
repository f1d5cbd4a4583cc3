import { freeze } from 'immer'
import { pixels, token } from '#core/values/length'
import { role } from '#core/values/colour'
import { EMPTY_PAGE_BRIEF, EMPTY_SITE_BRIEF } from './brief'
import { FILE_FORMAT, FILE_VERSION, type Page, type Site } from './schema'
import { type Breakpoint } from '#core/grid/breakpoint'
import type { Direction } from './directions'
import type { Looks } from '#core/guide/looks'
import type { StyleGuide } from '#core/guide/style-guide'
import type { MakeId } from '#core/values/ids'

/** The breakpoints that a new site has: the base, and two that are narrower. */
export const DEFAULT_BREAKPOINTS: Breakpoint[] = freeze(
  [
    { id: 'wide', below: null, columns: 12, gutter: 24, margin: 32, container: 1120 },
    { id: 'middle', below: 1024, columns: 8, gutter: 24, margin: 32, container: 1120 },
    { id: 'narrow', below: 640, columns: 4, gutter: 16, margin: 20, container: 1120 },
  ],
  true,
)

const type = (name: string, face: string, weight: number, size: { step: number }, tracking = 0, leading?: number) => ({
  role: name,
  face,
  weight,
  size,
  ...(leading === undefined ? {} : { leading }),
  tracking,
})
const step = (n: number) => ({ step: n })

/** How fields, links, lists, cards and tables look in a plain style guide. */
export const DEFAULT_LOOKS: Looks = freeze(
  {
    field: {
      rest: { fill: role('ground'), ink: role('ink'), edge: role('ink-soft') },
      focus: { edge: role('ink'), ring: role('link') },
      edgeWidth: 1,
      corner: token('corner-1'),
      paddingBlock: pixels(10),
      paddingInline: pixels(14),
      hit: 48,
    },
    link: { rest: {}, hover: {}, underline: 'always' },
    list: { marker: 'dot', gap: pixels(0) },
    cards: [
      { name: 'plain', fill: role('panel'), edgeWidth: 0, corner: token('corner-2'), padding: token('space-5') },
      {
        name: 'raised',
        fill: role('ground'),
        edge: role('line'),
        edgeWidth: 1,
        corner: token('corner-2'),
        padding: token('space-5'),
        shadow: 'shadow-2',
      },
    ],
    table: { line: role('line'), lineWidth: 1, padding: token('space-3') },
  },
  true,
)

/** The plain style guide that a new site starts from. */
export const DEFAULT_GUIDE: StyleGuide = freeze(
  {
    colours: [
      { role: 'ground', hex: '#FFFFFF' },
      { role: 'panel', hex: '#F1F2F4' },
      { role: 'ink', hex: '#1B1D21' },
      { role: 'ink-soft', hex: '#535863' },
      { role: 'line', hex: '#D3D6DC' },
      { role: 'primary', hex: '#24304F' },
      { role: 'on-primary', hex: '#FFFFFF' },
      { role: 'accent', hex: '#F2C14E' },
      { role: 'on-accent', hex: '#1B1D21' },
      { role: 'link', hex: '#2F5BAA' },
    ],
    faces: [
      { name: 'heading', family: 'public-sans' },
      { name: 'text', family: 'public-sans' },
    ],
    scale: { base: { narrow: 16, wide: 17 }, ratio: { narrow: 1.17, wide: 1.27 }, at: { narrow: 375, wide: 1360 } },
    leading: { small: 1.6, large: 1.04 },
    types: [
      { ...type('display', 'heading', 640, step(6), -0.02), lines: 'balance' },
      { ...type('heading-1', 'heading', 640, step(5), -0.015), lines: 'balance' },
      { ...type('heading-2', 'heading', 640, step(4), -0.01), lines: 'balance' },
      { ...type('heading-3', 'heading', 640, step(2), -0.005), lines: 'balance' },
      type('heading-4', 'heading', 640, step(0.5), 0, 1.3),
      { ...type('lead', 'text', 400, step(1)), lines: 'pretty' },
      type('body', 'text', 400, step(0)),
      { ...type('quote', 'text', 400, step(1.5), -0.005), lines: 'pretty' },
      type('small', 'text', 400, step(-0.5)),
      type('eyebrow', 'text', 600, step(-0.5), 0.02, 1.4),
      type('button', 'text', 600, step(0), 0, 1.2),
      type('label', 'text', 500, step(-0.5), 0, 1.4),
      { ...type('figure', 'text', 500, step(0), 0, 1.4), figures: 'tabular' },
    ],
    baseline: 4,
    spaces: [4, 8, 12, 16, 24, 32, 48, 64, 96].map((px, i) => ({ name: `space-${i + 1}`, size: pixels(px) })),
    corners: [
      { name: 'corner-1', size: pixels(4) },
      { name: 'corner-2', size: pixels(10) },
      { name: 'corner-3', size: pixels(999) },
    ],
    light: { angle: 0, strength: 0.3, role: 'ink' },
    shadows: [
      { name: 'shadow-1', height: 2 },
      { name: 'shadow-2', height: 12 },
    ],
    buttons: [
      {
        name: 'primary',
        type: 'button',
        rest: { fill: role('primary'), ink: role('on-primary') },
        hover: { fill: role('ink') },
        focus: { ring: role('link') },
        disabled: { opacity: 0.45 },
        busy: { opacity: 0.7 },
        edgeWidth: 0,
        corner: token('corner-1'),
        paddingBlock: pixels(15),
        paddingInline: pixels(24),
        hit: 48,
      },
      {
        name: 'secondary',
        type: 'button',
        rest: { ink: role('ink'), edge: role('ink') },
        hover: { fill: role('ink', 0.08) },
        focus: { ring: role('link') },
        disabled: { opacity: 0.45 },
        edgeWidth: 1.5,
        corner: token('corner-1'),
        paddingBlock: pixels(14),
        paddingInline: pixels(22),
        hit: 48,
      },
      {
        name: 'quiet',
        type: 'button',
        rest: { fill: role('panel'), ink: role('ink') },
        hover: { fill: role('line') },
        focus: { ring: role('link') },
        disabled: { opacity: 0.45 },
        edgeWidth: 0,
        corner: token('corner-1'),
        paddingBlock: pixels(14),
        paddingInline: pixels(22),
        hit: 44,
      },
      {
        name: 'link',
        type: 'button',
        rest: { ink: role('link') },
        hover: { ink: role('ink') },
        focus: { ring: role('link') },
        edgeWidth: 0,
        corner: pixels(0),
        paddingBlock: pixels(10),
        paddingInline: pixels(0),
        hit: 44,
        underline: 'always',
      },
    ],
    looks: DEFAULT_LOOKS,
  },
  true,
)

/** The one direction that a site begins with. */
export const FIRST_DIRECTION: Direction = freeze({ id: 'first', name: 'First direction', note: '', mood: [], restyled: {} }, true)

/** An empty page. */
export function newPage(makeId: MakeId, name: string, address: string): Page {
  return { id: makeId(), name, address, title: {}, description: {}, brief: EMPTY_PAGE_BRIEF, sections: [] }
}

/** A new site with one empty page. */
export function newSite(name: string, makeId: MakeId): Site {
  return {
    format: FILE_FORMAT,
    version: FILE_VERSION,
    name,
    language: 'en',
    breakpoints: DEFAULT_BREAKPOINTS,
    views: [1280, 768, 375],
    guide: DEFAULT_GUIDE,
    directions: [FIRST_DIRECTION],
    fonts: [],
    pictures: [],
    pages: [newPage(makeId, 'Landing page', '')],
    brief: EMPTY_SITE_BRIEF,
    shared: [],
    unplaced: [],
    board: [],
  }
}
