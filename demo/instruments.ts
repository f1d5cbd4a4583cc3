import type { Change } from '#core/blocks/change'
import type { Block } from '#core/blocks/index'
import { isContainer } from '#core/blocks/tree'
import { applyEdit, type Edit } from '#core/edits/index'
import type { Motion } from '#core/motion/motion'
import { newPage } from '#core/site/defaults'
import type { Site } from '#core/site/schema'
import { findBlock } from '#core/site/tree'
import { sharedOf } from '#core/shared/copies'
import { newCopy } from '#core/shared/make'
import { role } from '#core/values/colour'
import { idMaker } from '#core/values/ids'
import { pixels, token } from '#core/values/length'
import { caption, eyebrow, fluid, group, heading, link, picture, section, showing, slideshow, table, text } from './compose'
import { seeded } from './noise'

const INSTRUMENTS = [
  {
    name: 'The Long Telescope',
    about:
      'Three metres of brass and patience. It was a school’s, then a farmer’s, and since 1978 it is whoever’s turn it is. It turns by hand, so that you feel the sky move.',
    picture: 'the-long-telescope',
    alt: 'A long brass telescope under an open dome',
    caption: 'Carried up the hill in four parts, by eleven people and a horse.',
  },
  {
    name: 'The wide one',
    about:
      'Short, fat and black, with a mirror as large as a tea tray. It gathers faint light: galaxies, the dust in the Hunter, and one very lost weather balloon.',
    picture: 'cloud-in-the-hunter',
    alt: 'A cloud of glowing dust among stars',
    caption: 'The cloud in the Hunter, forty minutes of light, a January night.',
  },
  {
    name: 'The little Moon glass',
    about:
      'It stands on the wall by the stove and anybody may push it. Children find the craters first, because nobody tells them where to look.',
    picture: 'moon',
    alt: 'The Moon, with craters along the line of shadow',
    caption: 'Nine days old. The long shadows are where it is worth looking.',
  },
]

const FIGURES = [
  ['Instrument', 'Opening', 'Length', 'Weight', 'Best on'],
  ['The Long Telescope', '203 mm', '3.1 m', '410 kg', 'Planets'],
  ['The wide one', '457 mm', '1.9 m', '95 kg', 'Galaxies'],
  ['The little Moon glass', '80 mm', '0.6 m', '4 kg', 'The Moon'],
  ['Your own two eyes', '7 mm', '24 mm', '15 g', 'Everything else'],
]

/** What else is on the hill, one slide each. */
const AROUND = [
  ['the-stove', 'A cast iron stove with a kettle on it', 'The stove. It has been warm since the first of September.'],
  [
    'the-log-book',
    'An open book with written pages under a lamp',
    'The log book, volume nine. The pen is on a string for a reason.',
  ],
  [
    'lanterns-on-the-path',
    'A path in the dark with small lanterns along it',
    'The path up, four hundred steps, a lantern at every tenth.',
  ],
] as const

/** The dark before the eye is used to it: a lamp’s light from one side, and the grain of a long exposure. */
const LAMPLIT = [
  { kind: 'grain' as const, light: true, opacity: 0.12 },
  {
    kind: 'radial' as const,
    x: 82,
    y: 118,
    across: 62,
    down: 128,
    space: 'oklch' as const,
    stops: [
      { at: 0, colour: role('primary', 0.9) },
      { at: 100, colour: role('primary', 0) },
    ],
  },
]

/** Words come up to their picture once it is well in the window. */
const ARRIVES: Motion[] = [
  {
    kind: 'reveal',
    line: { value: 75, unit: '%' },
    from: { opacity: 0, down: { value: 28, unit: 'px' } },
    duration: 0.7,
    easing: 'ease-out',
  },
]

/** What each is like on three kinds of night, one at a time. */
const NIGHTS = [
  [
    'Clear and still',
    'Saturn through the Long Telescope holds still enough to count the moons. The queue is long, and nobody minds.',
  ],
  ['Moonlit', 'The wide one rests. The little Moon glass has the night to itself, and the children have the little Moon glass.'],
  ['Cloudy', 'The stove is lit, the log book is read aloud, and between two clouds somebody always sees something.'],
] as const

/** One night goes to the left while the next comes from the right, a second each. */
const NIGHT_CHANGE: Change = {
  away: { opacity: 0, across: 60 },
  out: { opacity: { start: 0, duration: 0.6, easing: 'ease-in' }, move: { start: 0, duration: 1, easing: 'ease-in' } },
  in: { opacity: { start: 0.4, duration: 0.6, easing: 'ease-out' }, move: { start: 0, duration: 1, easing: 'ease-out' } },
}

/** Buttons, and the nights that they show. */
function nights(): Block[] {
  const panels = NIGHTS.map(([name, about]) => group({ name }, [text(about, {}, 'lead')]))
  return [
    group(
      {
        name: 'Kinds of night',
        layout: 'row',
        gap: token('space-3'),
        rowGap: token('space-2'),
        wrap: true,
        spaceBefore: token('space-6'),
        spaceAfter: token('space-4'),
      },
      NIGHTS.map(([name], n) => showing(name, 'quiet', panels[n]!)),
    ),
    group({ name: 'Nights', span: 8, narrow: { span: 4 } }, panels, undefined, { oneShown: true, change: NIGHT_CHANGE }),
  ]
}

/** One row: a picture with its caption, and words beside it. It is shared, so that all rows are set at once. */
function row(): Block {
  return group({ name: 'Instrument', layout: 'grid', rowGap: token('space-5'), align: 'center', spaceAfter: token('space-8') }, [
    group(
      { name: 'Figure', span: 7, layout: 'column', rowGap: token('space-2'), middle: { span: 8 }, narrow: { span: 4 } },
      [
        picture('moon', '', {
          aspect: { width: 16, height: 10 },
          fit: 'cover',
          outline: { width: 1, offset: -12, colour: role('ground', 0.7) },
          withGroup: { zoom: 1.05 },
          transition: { duration: 0.5, easing: 'ease-out' },
        }),
        caption('Where it was taken, and when.'),
      ],
      'figure',
    ),
    group({ name: 'Words', motion: ARRIVES, span: 5, layout: 'column', middle: { span: 8 }, narrow: { span: 4 } }, [
      heading(2, 'The instrument', { spaceAfter: token('space-3') }),
      text('What it is good for, and what it is like to stand at.'),
    ]),
  ])
}

const childrenOf = (block: Block): Block[] => (isContainer(block) ? block.children : [])

/** Adds the page of the instruments: rows that are copies of one shared block, every other one in a guise, and a table. */
export function withInstruments(site: Site): Site {
  const makeId = idMaker(seeded(1978))
  let now = site
  const make = (edit: Edit) => (now = applyEdit(now, edit).site)
  const home = site.pages[0]!.id
  const first = row()
  const work = section('work', { rowGap: pixels(0), paddingTop: token('space-8'), paddingBottom: token('space-6') }, [first])
  const sections = [
    section(
      'header',
      { fill: role('night'), ink: role('on-primary'), paddingTop: token('space-4'), paddingBottom: token('space-4') },
      [
        group({ name: 'Row', layout: 'row', align: 'center', justify: 'space-between', gap: token('space-4') }, [
          link(
            'Hollin Ridge Observatory',
            { page: home },
            { name: 'Name', face: 'heading', weight: 560, size: pixels(20), underline: false },
          ),
          link('Autumn nights', { page: home }, { underline: false, hover: { underline: true } }, 'small'),
        ]),
      ],
    ),
    section(
      'opening',
      {
        paddingTop: token('space-8'),
        paddingBottom: token('space-8'),
        rowGap: pixels(0),
        fill: role('night'),
        ink: role('on-primary'),
        fillLayers: LAMPLIT,
      },
      [
        eyebrow('What you look through', { ink: role('on-primary'), spaceAfter: token('space-3') }),
        heading(1, 'Three telescopes and a stove', { span: 8, spaceAfter: token('space-5') }),
        text(
          'None of them is new. All of them work. Ask before you touch the brass; the stove needs no asking.',
          { span: 6 },
          'lead',
        ),
      ],
    ),
    work,
    section(
      'story',
      { rowGap: token('space-3'), paddingTop: token('space-7'), paddingBottom: token('space-8'), fill: role('panel') },
      [
        heading(2, 'And what you stand beside', { span: 5, middle: { span: 8 }, narrow: { span: 4 }, size: fluid(26, 36) }),
        text('Looking takes minutes. Waiting for a gap in the cloud takes the rest, so the rest is comfortable.', {
          span: 6,
          start: 7,
          middle: { span: 8, start: 1 },
          narrow: { span: 4 },
        }),
        slideshow(
          'Around the instruments',
          { spaceBefore: token('space-5') },
          AROUND.map(([name, alt, below]) =>
            group(
              { name: 'Slide', layout: 'column', rowGap: token('space-2') },
              [
                picture(name, alt, {
                  aspect: { width: 21, height: 9 },
                  fit: 'cover',
                  duotone: { dark: role('night'), light: role('on-primary') },
                  narrow: { aspect: { width: 4, height: 3 } },
                }),
                caption(below),
              ],
              'figure',
            ),
          ),
        ),
      ],
    ),
    section('reasons', { rowGap: pixels(0), paddingTop: token('space-9'), paddingBottom: token('space-9') }, [
      heading(2, 'The figures, for those who ask', { spaceAfter: token('space-5') }),
      table('The instruments of Hollin Ridge, measured', FIGURES, { narrow: { rows: 'scroll' } }),
      ...nights(),
    ]),
    section(
      'footer',
      { fill: role('night'), ink: role('on-primary'), paddingTop: token('space-6'), paddingBottom: token('space-6') },
      [text('Hollin Ridge Observatory is run by volunteers, above Hollin, on the coast road.', {}, 'small')],
    ),
  ]
  const page = {
    ...newPage(makeId, 'The instruments', 'the-instruments'),
    title: { en: 'The instruments of Hollin Ridge Observatory' },
    description: { en: 'Three telescopes, what each is good for, and their figures. And a stove.' },
    sections,
  }
  make({ kind: 'page-add', index: now.pages.length, page })
  make({ kind: 'share', block: first.id, shared: 'instrument', name: 'Instrument' })
  INSTRUMENTS.slice(1).forEach((_, n) =>
    make({ kind: 'insert', parent: work.id, index: n + 1, blocks: [newCopy(sharedOf(now, 'instrument')!, makeId)] }),
  )
  const [figure] = childrenOf(sharedOf(now, 'instrument')!.block)
  make({
    kind: 'guises',
    shared: 'instrument',
    guises: [
      {
        id: 'turned',
        name: 'Picture at the right',
        parts: { [figure!.id]: { style: { base: { order: 1 }, below: { middle: { order: 0 } } } } },
      },
    ],
  })
  childrenOf(findBlock(now, work.id)!.block).forEach((copy, n) => {
    const instrument = INSTRUMENTS[n]!
    const [[image, below], [title, about]] = childrenOf(copy).map(childrenOf) as [[Block, Block], [Block, Block]]
    make({ kind: 'field', block: image.id, field: 'picture', value: instrument.picture })
    make({ kind: 'field', block: image.id, field: 'alt', value: { en: instrument.alt } })
    for (const [block, words] of [
      [below, instrument.caption],
      [title, instrument.name],
      [about, instrument.about],
    ] as const)
      make({ kind: 'words', block: block.id, words: { en: [words] } })
    if (n === 1) make({ kind: 'guise', block: copy.id, guise: 'turned' })
  })
  return now
}
