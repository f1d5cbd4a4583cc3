import { expect, test } from 'vitest'
import { ARRANGEMENTS } from '#core/arrangements/index'
import { demoSite } from '#core/edits/edits.fixture'
import { walkPage } from '#core/site/tree'
import { createSessionStore, select } from '../../session/store'
import { allCommands } from './all-commands'
import { findCommands } from './find'

const site = demoSite()
const page = site.pages[0]!
const blocks = [...walkPage(page)]

/** All that is offered where nothing, or the first block of a kind, is selected. */
function offered(kind?: string) {
  const store = createSessionStore('site', page.id, site, 0)
  if (kind) select(store, blocks.find((block) => block.kind === kind)!.id)
  return allCommands(store, () => undefined)
}

/** What is typed, and with what the first that is found begins. */
const LEADS: Record<string, string> = {
  // CSS
  margin: 'Space before',
  'margin-top': 'Space before',
  'margin-bottom': 'Space after',
  padding: 'Padding top',
  'padding-top': 'Padding top',
  'padding-bottom': 'Padding bottom',
  'padding-inline': 'Padding sides',
  'padding-left': 'Padding left',
  background: 'Fill, in',
  'background-color': 'Fill, in',
  'background-image': 'Fill layers',
  gradient: 'Fill layers',
  'linear-gradient': 'Fill layers',
  'radial-gradient': 'Fill layers',
  border: 'Edge, in',
  'border-width': 'Edge, in',
  'border-style': 'Line of the edge',
  'border-color': 'Edge colour',
  'border-top': 'Edge on',
  'border-radius': 'Corners, in',
  radius: 'Corners, in',
  'z-index': 'Layer',
  'letter-spacing': 'Tracking',
  'line-height': 'Leading',
  'min height': 'Height, least',
  'min-height': 'Height, least',
  'max-width': 'At most',
  'max width': 'At most',
  width: 'Width',
  height: 'Height',
  blur: 'Filters',
  'backdrop-filter': 'What is behind it',
  glass: 'What is behind it',
  sticky: 'Stands',
  fixed: 'Stands',
  absolute: 'Stands',
  position: 'Stands',
  inset: 'From top',
  display: 'Layout',
  flex: 'Layout',
  flexbox: 'Layout',
  grid: 'Layout',
  'justify-content': 'Along',
  'space-between': 'Along',
  'align-items': 'Across',
  'justify-self': 'In its place, across',
  'align-self': 'In its place, down',
  gap: 'Gap across',
  'column-gap': 'Gap across',
  'row-gap': 'Gap down',
  gutter: 'Gap across',
  'flex-wrap': 'Wraps',
  'flex-grow': 'Takes the rest',
  overflow: 'Scrolls',
  'scroll-snap': 'Scrolls',
  order: 'Order',
  'grid-template-columns': 'Own columns',
  'grid-template-rows': 'Heights of rows',
  'grid-column': 'From column',
  'grid-row': 'From row',
  minmax: 'Items at least',
  color: 'Ink',
  colour: 'Ink',
  'text color': 'Ink',
  opacity: 'Opacity',
  transparency: 'Opacity',
  alpha: 'Opacity',
  'mix-blend-mode': 'Blends',
  'blend mode': 'Blends',
  multiply: 'Blends',
  'box-shadow': 'Shadow, in',
  'drop shadow': 'Shadow, in',
  elevation: 'Shadow, in',
  shadow: 'Shadow, in',
  'text-shadow': 'Shadow of the words',
  outline: 'Outline',
  'focus ring': 'Outline',
  'text-decoration': 'Underline',
  underline: 'Underline',
  transition: 'Change of state',
  duration: 'Change of state',
  easing: 'Change of state',
  'aspect-ratio': 'Shape, in Picture',
  ratio: 'Shape, in Picture',
  'object-fit': 'Fit',
  cover: 'Fit',
  contain: 'Fit',
  'object-position': 'Focal point',
  focal: 'Focal point',
  filter: 'Filters',
  brightness: 'Filters',
  grayscale: 'Filters',
  saturation: 'Filters',
  'clip-path': 'Mask',
  mask: 'Mask',
  mirror: 'Flipped',
  zoom: 'Zoom',
  scale: 'Zoom',
  duotone: 'Duotone',
  tint: 'Duotone',
  scrim: 'Scrim, in',
  'gradient overlay': 'Scrim, in',
  'view-transition-name': 'Kept as',
  'page transition': 'Kept as',
  'full-bleed': 'Reaches',
  'full width': 'Reaches',
  wave: 'Shape of the top edge',
  'section divider': 'Shape of the top edge',
  // Typography
  'font-family': 'Face',
  font: 'Face',
  typeface: 'Face',
  'font-size': 'Size',
  'text size': 'Size',
  'font-weight': 'Weight',
  bold: 'Weight',
  italic: 'Slope',
  'font-style': 'Slope',
  leading: 'Leading',
  tracking: 'Tracking',
  kerning: 'Tracking',
  'text-align': 'Align',
  alignment: 'Align',
  'center text': 'Align',
  uppercase: 'Letters',
  'small caps': 'Letters',
  'text-transform': 'Letters',
  'text-wrap': 'Lines',
  balance: 'Lines',
  widows: 'Lines',
  measure: 'At most',
  'line length': 'At most',
  'line spacing': 'Leading',
  bullet: 'Icon, in Type',
  // Motion
  animation: 'Motion',
  parallax: 'Motion',
  reveal: 'Motion',
  'fade in': 'Motion',
  scrub: 'Motion',
  'scroll animation': 'Motion',
  keyframes: 'Motion',
  timeline: 'Scroll ruler',
  // Blocks, in HTML and otherwise
  carousel: 'Add slideshow',
  slider: 'Add slideshow',
  gallery: 'Add slideshow',
  image: 'Add picture',
  img: 'Add picture',
  photo: 'Add picture',
  cta: 'Add button',
  'call to action': 'Add button',
  button: 'Add button',
  headline: 'Add heading',
  title: 'Add heading',
  paragraph: 'Add text',
  div: 'Add group',
  container: 'Add group',
  box: 'Add group',
  blockquote: 'Add quote',
  hr: 'Add divider',
  separator: 'Add divider',
  navbar: 'Add nav',
  menu: 'Add nav',
  navigation: 'Add nav',
  ul: 'Add list',
  'numbered list': 'Add list',
  input: 'Add field',
  checkbox: 'Add field',
  textarea: 'Add field',
  newsletter: 'Add form',
  'contact form': 'Add form',
  form: 'Add form',
  movie: 'Add video',
  film: 'Add video',
  svg: 'Add shape',
  polygon: 'Add shape',
  phone: 'Add device',
  glyph: 'Add icon',
  hyperlink: 'Add link',
  td: 'Add table',
  kicker: 'Add eyebrow',
  hero: 'Add section: opening',
  testimonials: 'Add section: proof',
  features: 'Add section: reasons',
  steps: 'Add section: plan',
  about: 'Add section: story',
  pricing: 'Add section: prices',
  faq: 'Add section: questions',
  footer: 'Add section: footer',
  header: 'Add section: header',
  // Settings that are no properties, and accessibility
  dialog: 'Seen',
  modal: 'Seen',
  accordion: 'Seen',
  dropdown: 'Seen',
  anchor: 'Add link',
  href: 'Leads to',
  'alt text': 'Alternative text',
  alt: 'Alternative text',
  h1: 'Add heading',
  'aria-label': 'Read as',
  landmark: 'Read as',
  'focus order': 'Go to Check',
  contrast: 'Go to Check',
  accessibility: 'Go to Check',
  a11y: 'Go to Check',
  // Screens and commands
  export: 'Go to Deliver',
  html: 'Go to Deliver',
  mockup: 'Go to Deliver',
  download: 'Go to Deliver',
  publish: 'Go to Deliver',
  'style guide': 'Go to Style',
  typography: 'Go to Style',
  'design tokens': 'Go to Style',
  theme: 'Go to Style',
  'mood board': 'Go to References',
  content: 'Go to Copy',
  translation: 'Go to Copy',
  goals: 'Go to Brief',
  seo: 'Go to Check',
  spelling: 'Go to Check',
  submissions: 'Go to Inbox',
  preview: 'Play page',
  prototype: 'Play page',
  breakpoint: 'Next range',
  'media query': 'Next range',
  responsive: 'Next range',
  wireframe: 'Wire look',
  layers: 'Running order',
  inspector: 'Tray',
  'layout grid': 'Column grid',
  assets: 'Pictures of the site',
  template: 'Add a section in an arrangement',
  spacing: 'Space before',
}

/** The same where a block is selected. */
const SELECTED: [kind: string, typed: string, first: string][] = [
  ['group', 'clone', 'Duplicate the selection'],
  ['group', 'component', 'Make a shared block'],
  ['group', 'ungroup', 'Take the group away'],
  ['group', 'overrides', 'Table of exceptions'],
  ['heading', 'h2', 'Level of the heading'],
  ['heading', 'letter spacing', 'Tracking'],
  ['picture', 'crop', 'Crop the picture'],
  ['picture', 'aspect', 'Shape, in Picture'],
  ['button', 'url', 'Leads to'],
  ['button', 'remove', 'Delete the selection'],
]

test('each of two hundred terms of the trade leads where it belongs', () => {
  const commands = offered()
  const wrong = Object.entries(LEADS).flatMap(([typed, wanted]) => {
    const first = findCommands(commands, typed)[0]?.name ?? 'nothing'
    return first.startsWith(wanted) ? [] : [`${typed}: ${first}, not ${wanted}`]
  })
  expect(Object.keys(LEADS).length).toBeGreaterThanOrEqual(200)
  expect(wrong).toEqual([])
})

test('every arrangement is found by its own name, and by its job with it', () => {
  const commands = offered()
  for (const { name, job } of ARRANGEMENTS) {
    const wanted = `Add section: ${job.replace('-', ' ')}, “${name}”`
    expect(findCommands(commands, `${job} ${name}`)[0]?.name).toBe(wanted)
    expect(
      findCommands(commands, name)
        .slice(0, 8)
        .map((one) => one.name),
    ).toContain(wanted)
  }
})

test('with a block selected, what can be done with it is found', () => {
  const wrong = SELECTED.flatMap(([kind, typed, wanted]) => {
    const first = findCommands(offered(kind), typed)[0]?.name ?? 'nothing'
    return first.startsWith(wanted) ? [] : [`${kind}, ${typed}: ${first}, not ${wanted}`]
  })
  expect(wrong).toEqual([])
})

test('every command is found by its own name and by each of its other names; words of the page come last', () => {
  const commands = offered('group')
  for (const one of commands) {
    expect(findCommands(commands, one.name).slice(0, 3)).toContain(one)
    for (const other of (one.also ?? '').split(',').filter((each) => each.trim() !== ''))
      expect(findCommands(commands, other)).toContain(one)
  }
  const found = findCommands(commands, 'stove')
  expect(found.length).toBeGreaterThan(0)
  const mixed = findCommands(commands, 't')
  const first = mixed.findIndex((one) => one.ofPage)
  expect(mixed.slice(first).every((one) => one.ofPage)).toBe(true)
  // Letters in the middle of words are no beginnings.
  expect(findCommands(commands, 'adding')).toEqual([])
  expect(findCommands(commands, '')).toEqual(commands)
})
