import type { Section } from '#core/blocks/index'
import { role } from '#core/values/colour'
import { pixels, token } from '#core/values/length'
import { button, divider, eyebrow, fluid, group, heading, icon, link, nav, picture, section, text } from './compose'
import { evening } from './evening'

const BOOK = { href: 'mailto:evenings@hollinridge.example' }

function header(page: string) {
  const to = (target: string) => ({ page, section: target })
  return section(
    'header',
    {
      fill: role('night'),
      ink: role('on-primary'),
      paddingTop: token('space-4'),
      paddingBottom: token('space-4'),
      align: 'center',
    },
    [
      link(
        'Hollin Ridge Observatory',
        { page },
        {
          name: 'Name',
          span: 4,
          middle: { span: 7 },
          narrow: { span: 3 },
          face: 'heading',
          weight: 560,
          size: pixels(20),
          underline: false,
        },
      ),
      nav(
        'Main',
        {
          span: 8,
          start: 5,
          justify: 'end',
          gap: token('space-5'),
          rowGap: token('space-2'),
          wrap: true,
          middle: { span: 1, start: 8, gap: token('space-4') },
          narrow: { span: 1, start: 4 },
        },
        [
          link('Why come', to('reasons'), { underline: false, hover: { underline: true } }, 'small'),
          link('How a night goes', to('plan'), { underline: false, hover: { underline: true } }, 'small'),
          link('What you see', to('work'), { underline: false, hover: { underline: true } }, 'small'),
          link('Log book', to('proof'), { underline: false, hover: { underline: true } }, 'small'),
        ],
        { folds: { below: 'middle', as: 'cover' } },
      ),
    ],
  )
}

function opening() {
  return section(
    'opening',
    {
      fill: role('night'),
      ink: role('on-primary'),
      minHeight: { value: 78, unit: 'vh' },
      align: 'center',
      paddingTop: token('space-9'),
      paddingBottom: token('space-9'),
      narrow: { paddingTop: token('space-8'), paddingBottom: pixels(220) },
    },
    [
      picture('ridge-at-dusk', '', {
        position: 'backdrop',
        focal: { x: 78, y: 100 },
        // The ridge stays behind a little as one leaves it.
        motion: [{ kind: 'parallax', speed: 0.75, rests: 'opening' }],
        scrim: { colour: role('night'), from: 0.62, to: 0.05, angle: 70 },
        narrow: { focal: { x: 84, y: 100 }, scrim: { colour: role('night'), from: 0.1, to: 0.6, angle: 0 } },
      }),
      eyebrow('Public evenings, September to March', { ink: role('on-primary-soft') }),
      heading(1, 'Bring a coat. We will bring the galaxies.', { span: 8 }),
      text(
        'Two hours under one of the darkest skies in the county, with volunteers who love being asked why.',
        { span: 6, spaceAfter: token('space-2'), maxWidth: { value: 34, unit: 'em' } },
        'lead',
      ),
      button('Book an autumn night', 'primary', BOOK),
    ],
  )
}

const REASONS = [
  [
    'lamp-desk',
    'Skies without street lamps',
    'Eleven kilometres from the nearest village, and a ridge between us and the coast road.',
  ],
  ['telescope', 'A telescope each', 'Twelve instruments on the terrace, so no queue is longer than one song.'],
  ['coffee', 'Tea that stays hot', 'The stove is lit from dusk until the last car leaves. There is always more tea.'],
] as const

function reasons() {
  return section(
    'reasons',
    {
      paddingTop: token('space-9'),
      paddingBottom: token('space-9'),
      rowGap: token('space-6'),
      narrow: { paddingTop: token('space-8'), paddingBottom: token('space-8') },
    },
    [
      heading(2, 'Why people come up the hill', { spaceAfter: token('space-3') }),
      ...REASONS.map(([name, title, words]) =>
        group(
          {
            name: 'Reason',
            span: 4,
            edgeWidth: 1.5,
            edgeSides: 'top',
            edgeColour: role('primary'),
            paddingTop: token('space-5'),
            rowGap: token('space-3'),
          },
          [icon(name, 30, { ink: role('link') }), heading(3, title), text(words, { ink: role('ink-soft') })],
        ),
      ),
    ],
  )
}

const STEPS = [
  ['1', 'Pick a night', 'Choose a Friday or a Saturday. If the cloud comes in we write by noon, and you choose another.'],
  ['2', 'Wrap up', 'Hat, gloves, the coat you think is too much. We lend blankets and red torches.'],
  ['3', 'Look up', 'A volunteer walks you from the Moon to the next galaxy along. Stay until ten.'],
] as const

function plan() {
  return section(
    'plan',
    {
      fill: role('panel'),
      paddingTop: token('space-9'),
      paddingBottom: token('space-9'),
      rowGap: token('space-6'),
      narrow: { paddingTop: token('space-8'), paddingBottom: token('space-8') },
    },
    [
      group({ name: 'Lead', span: 4, rowGap: token('space-4'), middle: { span: 8 } }, [
        heading(2, 'The plan, in three steps'),
        text('It takes two minutes to book and one evening to change how you see the sky.', {
          ink: role('ink-soft'),
        }),
        button('See free nights', 'secondary', BOOK, { spaceBefore: token('space-3') }),
      ]),
      group(
        { name: 'Steps', span: 7, start: 6, rowGap: token('space-5'), middle: { span: 8 } },
        STEPS.flatMap(([number, title, words], i) => [
          ...(i > 0 ? [divider()] : []),
          group({ name: 'Step', layout: 'row', gap: token('space-5') }, [
            text(number, {
              name: 'Number',
              face: 'heading',
              weight: 560,
              size: fluid(34, 44),
              leading: 1,
              ink: role('link'),
              width: pixels(44),
            }),
            group({ name: 'Words', grow: true, rowGap: token('space-2') }, [
              heading(3, title),
              text(words, { ink: role('ink-soft') }),
            ]),
          ]),
        ]),
      ),
    ],
  )
}

const ROWS = [
  [
    'the-long-telescope',
    'A long brass telescope pointing through the slit of the dome',
    'The long telescope',
    'Built in 1911 for a school that wanted a bell tower instead. It shows the rings of Saturn so clearly that somebody always checks for a sticker.',
  ],
  [
    'moon',
    'The Moon, lit from the right, its craters sharp',
    'The Moon, close enough to trip over',
    'On the terrace you follow the line between day and night across mountains higher than ours. You may draw it; we keep the good ones.',
  ],
  [
    'cloud-in-the-hunter',
    'A glowing cloud of gas, rose and blue',
    'Light older than the hill',
    'The cloud in the Hunter left its light about the time our dry-stone walls were new. It arrives on time, most Fridays.',
  ],
] as const

function rows() {
  return section(
    'work',
    {
      name: 'What you see',
      paddingTop: token('space-9'),
      paddingBottom: token('space-9'),
      rowGap: token('space-9'),
      align: 'center',
      narrow: { paddingTop: token('space-8'), paddingBottom: token('space-8'), rowGap: token('space-5') },
    },
    [
      heading(2, 'What you will see', { spaceAfter: pixels(-32), narrow: { spaceAfter: pixels(0) } }),
      ...ROWS.flatMap(([id, alt, title, words], i) => {
        const left = i % 2 === 0
        const shown = picture(id, alt, {
          span: 7,
          start: left ? 1 : 6,
          aspect: { width: 4, height: 3 },
          corner: token('corner-2'),
          middle: { span: 4, start: left ? 1 : 5 },
          narrow: { span: 4, aspect: { width: 3, height: 2 }, order: 2 * i + 1 },
        })
        const said = group(
          {
            name: 'Words',
            span: left ? 4 : 5,
            start: left ? 9 : 1,
            rowGap: token('space-3'),
            middle: { span: 4, start: left ? 5 : 1 },
            narrow: { span: 4, spaceAfter: token('space-6'), order: 2 * i + 2 },
          },
          [heading(3, title, { size: fluid(24, 32) }), text(words, { ink: role('ink-soft') })],
        )
        return left ? [shown, said] : [said, shown]
      }),
    ],
  )
}

function proof() {
  return section(
    'proof',
    {
      name: 'Log book',
      fill: role('panel'),
      paddingTop: token('space-9'),
      paddingBottom: token('space-9'),
      rowGap: token('space-6'),
      align: 'center',
    },
    [
      picture('the-log-book', 'The log book, open at a page of visitors’ notes and a drawing of Saturn', {
        span: 5,
        aspect: { width: 1, height: 1 },
        corner: token('corner-2'),
        middle: { span: 3 },
        narrow: { span: 4, aspect: { width: 3, height: 2 } },
      }),
      group(
        {
          name: 'Quote',
          motion: [
            {
              kind: 'reveal',
              line: { value: 80, unit: '%' },
              from: { opacity: 0, down: { value: 20, unit: 'px' } },
              duration: 0.6,
              easing: 'ease-out',
              apart: 0.15,
            },
          ],
          span: 6,
          start: 7,
          rowGap: token('space-4'),
          middle: { span: 5, start: 4 },
          narrow: { span: 4 },
        },
        [
          eyebrow('From the log book', { ink: role('link') }),
          text('I came for my daughter’s homework and stayed until they put the stove out. She had to drive me home.', {}, 'quote'),
          text('Visitor 4,016, a Saturday in November', { ink: role('ink-soft') }, 'small'),
        ],
      ),
    ],
  )
}

function closing() {
  return section(
    'closing',
    {
      fill: role('primary'),
      ink: role('on-primary'),
      paddingTop: token('space-9'),
      paddingBottom: token('space-9'),
      topShape: { shape: 'wave', height: 36, colour: role('ground') },
      narrow: { paddingTop: token('space-8'), paddingBottom: token('space-8') },
    },
    [
      picture('lanterns-on-the-path', '', {
        position: 'backdrop',
        focal: { x: 30, y: 90 },
        scrim: { colour: role('night'), from: 0.78, to: 0.78, angle: 0 },
      }),
      heading(2, 'The lanterns are out from six', {
        span: 8,
        start: 3,
        textAlign: 'center',
        size: fluid(32, 56),
        middle: { start: 1 },
      }),
      text(
        'Places are few, since the terrace is small and the sky is not. An evening costs less than the petrol.',
        {
          span: 6,
          start: 4,
          textAlign: 'center',
          spaceAfter: token('space-2'),
          ink: role('on-primary-soft'),
          middle: { start: 2 },
        },
        'lead',
      ),
      button('Book an autumn night', 'primary', BOOK, { selfJustify: 'center' }),
    ],
  )
}

function footer(page: string) {
  const quiet = { underline: false, hover: { underline: true } }
  return section(
    'footer',
    {
      fill: role('night'),
      ink: role('on-primary-soft'),
      paddingTop: token('space-8'),
      paddingBottom: token('space-7'),
      rowGap: token('space-6'),
    },
    [
      group({ name: 'About', span: 5, rowGap: token('space-2'), middle: { span: 8 } }, [
        heading(2, 'Hollin Ridge Observatory', { size: pixels(20), ink: role('on-primary') }),
        text(
          'Run by volunteers since 1962. Open on clear Fridays and Saturdays, September to March, from six until ten.',
          { maxWidth: { value: 26, unit: 'em' } },
          'small',
        ),
      ]),
      nav(
        'Visit',
        {
          span: 3,
          start: 7,
          layout: 'column',
          rowGap: token('space-2'),
          middle: { span: 4, start: 1 },
          narrow: { span: 4 },
        },
        [
          link('Why come', { page, section: 'reasons' }, quiet, 'small'),
          link('How a night goes', { page, section: 'plan' }, quiet, 'small'),
          link('What you see', { page, section: 'work' }, quiet, 'small'),
        ],
      ),
      nav(
        'Write to us',
        {
          span: 3,
          start: 10,
          layout: 'column',
          rowGap: token('space-2'),
          middle: { span: 4, start: 5 },
          narrow: { span: 4 },
        },
        [
          link('evenings@hollinridge.example', BOOK, quiet, 'small'),
          link('The road up, as a map', { href: 'https://hollinridge.example/road' }, quiet, 'small'),
        ],
      ),
      divider({ edgeColour: role('ink-soft') }),
      text('Made-up words and pictures, for a made-up hill.', {}, 'small'),
    ],
  )
}

/** The sections of the landing page, from the header to the footer. */
export function autumn(page: string): Section[] {
  const first = [header(page), opening(), reasons(), plan(), rows(), proof()]
  const last = [closing(), footer(page)]
  return [...first, ...evening(), ...last]
}
