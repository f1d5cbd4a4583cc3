import { pixels, role, token } from '#core/style/values'
import { EMPTY_PAGE_BRIEF, EMPTY_SITE_BRIEF } from './brief'
import { FILE_FORMAT, FILE_VERSION, type Breakpoint, type Page, type Site } from './schema'
import type { StyleGuide } from './style-guide'
import type { MakeId } from './ids'

/** The breakpoints that a new site has: the base, and two that are narrower. */
export const DEFAULT_BREAKPOINTS: Breakpoint[] = [
  { id: 'wide', below: null, columns: 12, gutter: 24, margin: 32, container: 1120 },
  { id: 'middle', below: 1024, columns: 8, gutter: 24, margin: 32, container: 1120 },
  { id: 'narrow', below: 640, columns: 4, gutter: 16, margin: 20, container: 1120 },
]

const fluid = (small: number, large: number) => ({
  fluid: { from: { at: 375, px: small }, to: { at: 1360, px: large } },
})
const type = (name: string, face: string, weight: number, size: ReturnType<typeof fluid>, leading: number, tracking = 0) => ({
  role: name,
  face,
  weight,
  size,
  leading,
  tracking,
})

/** The plain style guide that a new site starts from. */
export const DEFAULT_GUIDE: StyleGuide = {
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
  ],
  faces: [
    { name: 'heading', family: 'public-sans' },
    { name: 'text', family: 'public-sans' },
  ],
  types: [
    { ...type('heading-1', 'heading', 640, fluid(34, 60), 1.08, -0.015), lines: 'balance' },
    { ...type('heading-2', 'heading', 640, fluid(28, 42), 1.14, -0.01), lines: 'balance' },
    { ...type('heading-3', 'heading', 640, fluid(21, 26), 1.22, -0.005), lines: 'balance' },
    type('heading-4', 'heading', 640, fluid(17, 19), 1.3),
    { ...type('lead', 'text', 400, fluid(18, 21), 1.5), lines: 'pretty' },
    type('body', 'text', 400, fluid(16, 17), 1.6),
    { ...type('quote', 'text', 400, fluid(20, 26), 1.4, -0.005), lines: 'pretty' },
    type('small', 'text', 400, fluid(14, 15), 1.5),
    type('eyebrow', 'text', 600, fluid(14, 15), 1.4, 0.02),
    type('button', 'text', 600, fluid(16, 17), 1.2),
  ],
  spaces: [4, 8, 12, 16, 24, 32, 48, 64, 96].map((px, i) => ({ name: `space-${i + 1}`, size: pixels(px) })),
  corners: [
    { name: 'corner-1', size: pixels(4) },
    { name: 'corner-2', size: pixels(10) },
    { name: 'corner-3', size: pixels(999) },
  ],
  shadows: [
    { name: 'shadow-1', layers: [{ x: 0, y: 1, blur: 3, spread: 0, colour: role('ink', 0.16) }] },
    { name: 'shadow-2', layers: [{ x: 0, y: 8, blur: 28, spread: -6, colour: role('ink', 0.24) }] },
  ],
  buttons: [
    {
      name: 'primary',
      type: 'button',
      rest: { fill: role('primary'), ink: role('on-primary') },
      hover: { fill: role('ink') },
      edgeWidth: 0,
      corner: token('corner-1'),
      paddingBlock: pixels(15),
      paddingInline: pixels(24),
    },
    {
      name: 'secondary',
      type: 'button',
      rest: { ink: role('ink'), edge: role('ink') },
      hover: { fill: role('ink', 0.08) },
      edgeWidth: 1.5,
      corner: token('corner-1'),
      paddingBlock: pixels(14),
      paddingInline: pixels(22),
    },
  ],
}

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
    pictures: [],
    pages: [newPage(makeId, 'Landing page', '')],
    brief: EMPTY_SITE_BRIEF,
    unplaced: [],
    board: [],
  }
}
