import type { Element, ElementContent } from 'hast'
import { contrast } from '#core/colour/contrast'
import { currentOf } from '#core/site/directions'
import { USE_WORDS } from '#core/analysis/colour-uses'
import { STATES } from '#core/guide/looks'
import type { Page, Site } from '#core/site/schema'
import type { Picture } from '#core/picture/picture'
import type { TypeRole } from '#core/guide/style-guide'
import { walkPage } from '#core/site/tree'
import { plainText } from '#core/values/words'
import { lengthInWords } from '#core/style/css-values'
import { familyOf } from '#core/type/families'
import { SAMPLE } from '#core/type/sample'
import { sizeOf } from '#core/guide/type-roles'
import { element } from '#core/blocks/html'
import { buttonRules, cardRules, fieldRules, linkRules, tableRules } from '#core/render/look-rules'
import { printRules } from '#core/render/rules'

const text = (value: string): ElementContent => ({ type: 'text', value })
const el = (tag: string, className: string, ...children: (ElementContent | string)[]): Element =>
  element(
    tag,
    className === '' ? {} : { className: className.split(' ') },
    children.map((one) => (typeof one === 'string' ? text(one) : one)),
  )
const styled = (node: Element, style: string): Element => ({ ...node, properties: { ...node.properties, style } })
const inState = (node: Element, state: string): Element => ({ ...node, properties: { ...node.properties, dataState: state } })

const part = (title: string, note: string, ...children: Element[]): Element =>
  el('section', 'specimen-part', el('h2', 'specimen-title', title), el('p', 'specimen-note', note), ...children)

/** Words of the site itself for a type role: the first that are set in it, or that are of its kind. */
function sampleFor(site: Site, page: Page, role: string): string {
  const kind =
    role.startsWith('heading') || role === 'display'
      ? 'heading'
      : { button: 'button', quote: 'quote', eyebrow: 'eyebrow', label: 'field' }[role]
  const blocks = [...walkPage(page)].filter((block) => 'words' in block)
  const words = (list: typeof blocks) =>
    list.map((block) => ('words' in block ? plainText(block.words[site.language] ?? []).trim() : '')).filter((one) => one !== '')
  const own = words(blocks.filter((block) => 'type' in block && block.type === role))
  const like = words(blocks.filter((block) => block.kind === (kind ?? 'text')))
  if (role === 'figure') return '0123456789 · £18.50 · 21:30'
  return own[0] ?? like[0] ?? (kind === 'heading' ? SAMPLE.heading : kind === 'button' ? SAMPLE.call : SAMPLE.text)
}

function colours({ guide }: Site): Element {
  const ground = guide.colours.find((one) => one.role === 'ground')?.hex ?? '#FFFFFF'
  const swatches = guide.colours.map(({ role, hex, only }) =>
    el(
      'div',
      'specimen-swatch',
      styled(el('span', 'specimen-chip'), `background:var(--${role})`),
      el('b', '', role),
      el('span', 'specimen-figure', hex.toUpperCase()),
      el('span', 'specimen-figure', `${contrast(hex, ground).toFixed(1)} : 1 on ground`),
      ...(only ? [el('span', 'specimen-figure', `only ${only.map((one) => USE_WORDS[one]).join(', ')}`)] : []),
    ),
  )
  return part('Colour', `${guide.colours.length} roles`, styled(el('div', 'specimen-grid', ...swatches), '--across:6'))
}

const typeNote = (site: Site, type: TypeRole): string => {
  const family = familyOf(site.guide.faces.find((one) => one.name === type.face)?.family ?? '', site.fonts)
  return `${family?.name ?? type.face} ${type.weight}, ${lengthInWords(sizeOf(site.guide, type))}`
}

const types = (site: Site, page: Page): Element =>
  part(
    'Type',
    site.guide.faces.map(({ name, family }) => `${name}: ${familyOf(family, site.fonts)?.name ?? family}`).join(', '),
    ...site.guide.types.map((type) =>
      el(
        'div',
        'specimen-type',
        el('p', 'specimen-figure', type.role, el('br', ''), typeNote(site, type)),
        el('p', type.role, firstWords(sampleFor(site, page, type.role), 160)),
      ),
    ),
  )

/** A text without what may be part of a word at its end; one word alone stays as it is. */
function wholeWords(text: string): string {
  for (let end = text.length; end > 0; end--) if (/\s/.test(text[end - 1]!)) return text.slice(0, end).trimEnd()
  return text
}

/** The first words of a text, as many as fit into a number of characters. */
const firstWords = (text: string, most: number): string =>
  text.length <= most ? text : wholeWords(text.slice(0, most + 1)).slice(0, most)

function buttons(site: Site, page: Page): Element {
  const words = firstWords(sampleFor(site, page, 'button'), 16)
  return part(
    'Buttons',
    `${site.guide.buttons.length} kinds, ${STATES.length} states`,
    el(
      'div',
      'specimen-states',
      el('span', ''),
      ...STATES.map((state) => el('span', 'specimen-figure', state)),
      ...site.guide.buttons.flatMap((button) => [
        el('span', 'specimen-figure', `${button.name}, ${button.hit} px least`),
        ...STATES.map((state) => inState(el('span', `button-${button.name}`, words), state)),
      ]),
    ),
  )
}

function looks(site: Site, page: Page): Element {
  const input = (state: string) =>
    inState(element('input', { type: 'text', value: 'name@mail.example', tabIndex: -1, ariaLabel: state }, []), state)
  const field = (state: string) => el('label', 'field', el('span', '', `Mail address, ${state}`), input(state))
  const link = (state: string) => inState(element('a', { href: '#' }, [text(`A link, ${state}`)]), state)
  const { items } = SAMPLE
  const cards = site.guide.looks.cards.map((card) =>
    el(
      'div',
      `card-${card.name}`,
      el('p', 'heading-4', `Card, ${card.name}`),
      el('p', '', firstWords(sampleFor(site, page, 'body'), 90)),
    ),
  )
  return part(
    'Fields, links, lists, cards and tables',
    '',
    el(
      'div',
      'specimen-columns',
      el('div', 'specimen-stack', field('rest'), field('focus')),
      el(
        'div',
        'specimen-stack',
        el('p', '', link('rest')),
        el('p', '', link('hover')),
        el('ul', '', ...items.map((one) => el('li', '', one))),
      ),
      el('div', 'specimen-stack', ...cards),
      el('div', 'table', ...['19:00  Doors', '19:30  The Moon', '21:00  Tea'].map((one) => el('div', 'figure', one))),
    ),
  )
}

const measures = ({ guide }: Site): Element =>
  part(
    'Space, corners and shadows',
    `Baseline of ${guide.baseline} px; light from ${guide.light.angle}°`,
    el(
      'div',
      'specimen-columns',
      el(
        'div',
        'specimen-stack',
        ...guide.spaces.map(({ name, size }) =>
          el(
            'div',
            'specimen-space',
            styled(el('span', 'specimen-bar'), `width:var(--${name})`),
            el('span', 'specimen-figure', `${name}, ${lengthInWords(size)}`),
          ),
        ),
      ),
      el(
        'div',
        'specimen-stack',
        ...guide.corners.map(({ name, size }) =>
          el(
            'div',
            'specimen-space',
            styled(el('span', 'specimen-box'), `border-radius:var(--${name})`),
            el('span', 'specimen-figure', `${name}, ${lengthInWords(size)}`),
          ),
        ),
      ),
      el(
        'div',
        'specimen-stack',
        ...guide.shadows.map((one) =>
          el(
            'div',
            'specimen-space',
            styled(el('span', 'specimen-box specimen-raised'), `box-shadow:var(--${one.name})`),
            el(
              'span',
              'specimen-figure',
              'height' in one ? `${one.name}, ${one.height} px high` : `${one.name}, ${one.layers.length} layers`,
            ),
          ),
        ),
      ),
    ),
  )

/** The specimen page of a style guide: every role, kind and state of it, set in the words of a page. */
export function specimenBody(site: Site, page: Page, picture?: (picture: Picture) => string): Element {
  const { name, note, mood } = currentOf(site)
  const pictures = picture ? mood.flatMap((id) => site.pictures.find((one) => one.id === id) ?? []) : []
  return el(
    'body',
    'specimen',
    el(
      'header',
      'specimen-part',
      el('p', 'specimen-figure', site.name),
      el('h1', 'heading-2', name),
      ...(note === '' ? [] : [el('p', 'lead', note)]),
      ...(pictures.length > 0 && picture
        ? [
            el(
              'div',
              'specimen-mood',
              ...pictures.map((one) =>
                element('img', { src: picture(one), alt: one.name, width: one.width, height: one.height }, []),
              ),
            ),
          ]
        : []),
    ),
    colours(site),
    types(site, page),
    buttons(site, page),
    looks(site, page),
    measures(site),
  )
}

const LAYOUT = `.specimen{padding:32px;display:grid;grid-template-columns:minmax(0,1fr);gap:40px;align-content:start}
.specimen-part{display:grid;grid-template-columns:minmax(0,1fr);gap:16px;border-block-start:1px solid var(--line);padding-block-start:16px;break-inside:avoid}
.specimen-title{font:600 15px/20px var(--face-text)}
.specimen-note{font:13px/18px ui-monospace,monospace;color:var(--ink-soft);margin-block-start:-12px}
.specimen-figure{font:12px/17px ui-monospace,monospace;color:var(--ink-soft);white-space:pre-line}
.specimen-grid{display:grid;grid-template-columns:repeat(var(--across),minmax(0,1fr));gap:16px}
.specimen-swatch{display:grid;align-content:start;font:13px/18px var(--face-text)}
.specimen-chip{height:64px;border:1px solid color-mix(in srgb,currentcolor 20%,transparent);margin-block-end:6px}
.specimen-type{display:grid;grid-template-columns:200px minmax(0,1fr);gap:24px;align-items:baseline}
.specimen-states{display:grid;grid-template-columns:110px repeat(6,auto);gap:14px 8px;align-items:center;justify-content:start}
.specimen-states>*{white-space:nowrap;font-size:14px}
.specimen-states>.specimen-figure{white-space:normal;font-size:12px}
.specimen-columns{display:grid;grid-template-columns:repeat(auto-fit,minmax(220px,1fr));gap:32px}
.specimen-stack{display:grid;gap:16px;align-content:start}
.specimen-space{display:flex;gap:12px;align-items:center}
.specimen-bar{height:12px;background:var(--primary)}
.specimen-box{width:72px;height:44px;border:1px solid var(--ink-soft);background:var(--ground)}
.specimen-raised{border:0}
.specimen-mood{display:grid;grid-template-columns:repeat(3,minmax(0,1fr));gap:12px}
.specimen-mood img{aspect-ratio:3/2;height:auto}
@media(width<900px){.specimen-grid{--across:3!important}.specimen-type{grid-template-columns:1fr;gap:4px}.specimen-states{grid-template-columns:repeat(3,auto)}}
@media print{.specimen{padding:0;gap:20px}}`

/** Rules that show every state by an attribute, whatever the pointer does, and the layout of the specimen page. */
export const specimenCss = ({ guide }: Site): string =>
  printRules(
    [
      ...guide.buttons.flatMap((button) => buttonRules(button, guide, true, 'specimen')),
      ...fieldRules(guide, 'specimen'),
      ...linkRules(guide, 'specimen'),
      ...guide.looks.cards.flatMap(cardRules),
      ...tableRules(guide),
    ],
    'minified',
  ) + LAYOUT
