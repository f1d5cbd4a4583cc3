import type { Section } from '#core/blocks/index'
import { role } from '#core/values/colour'
import { pixels, token } from '#core/values/length'
import { button, eyebrow, group, heading, list, section, table, text } from './compose'

const BOOK = { href: 'mailto:evenings@hollinridge.example' }

const TIMES = [
  ['When', 'What', 'Where'],
  ['19:30', 'Gates open, lamps are turned down', 'Car park'],
  ['19:45', 'Tea, and what to look for tonight', 'The stove'],
  ['20:15', 'First hour at the telescopes', 'Terrace'],
  ['21:15', 'Soup, and questions', 'The stove'],
  ['21:40', 'Second hour, fainter things', 'Dome'],
  ['22:30', 'Down the hill, slowly', 'Car park'],
]

/** How an evening goes, hour by hour. */
const timetable = (): Section =>
  section('timetable', { fill: role('panel'), rowGap: pixels(0), paddingTop: token('space-8'), paddingBottom: token('space-8') }, [
    eyebrow('Fridays and Saturdays', { spaceAfter: token('space-2') }),
    heading(2, 'One night, by the clock', { spaceAfter: token('space-5') }),
    table('An evening from half past seven', TIMES, { span: 8, start: 1, narrow: { span: 4, rows: 'stack' } }),
  ])

const PLANS = [
  { name: 'One night', price: '£9', term: 'an evening', has: ['Two hours at the telescopes', 'Tea, and soup at nine'] },
  { name: 'A season', price: '£38', term: 'September to March', has: ['Every public evening', 'Tea, and soup at nine'] },
  {
    name: 'A household',
    price: '£64',
    term: 'September to March',
    has: ['Every public evening, for up to five', 'The winter sky chart, by post', 'A night with nobody else here'],
  },
  { name: 'A volunteer', price: '£0', term: 'and one evening a month', has: ['A key to the dome', 'Somebody has to make the tea'] },
]

/** The memberships: four plans whose columns divide the container, the third marked. */
const memberships = (): Section =>
  section('prices', { rowGap: token('space-5'), paddingTop: token('space-9'), paddingBottom: token('space-9') }, [
    heading(2, 'Come once, or all winter', { spaceAfter: token('space-6') }),
    ...PLANS.map(({ name, price, term, has }, n) =>
      group(
        {
          name: 'Plan',
          span: 3,
          layout: 'column',
          rowGap: token('space-3'),
          paddingTop: token('space-5'),
          paddingBottom: token('space-5'),
          paddingSides: token('space-5'),
          corner: token('corner-2'),
          fill: role(n === 2 ? 'night' : 'panel'),
          ...(n === 2 ? { ink: role('on-primary') } : {}),
          middle: { span: 4 },
          narrow: { span: 4 },
        },
        [
          heading(3, name),
          text(price, { size: pixels(36), face: 'heading' }),
          text(term, {}, 'small'),
          // The lists take what room there is, so that the buttons stand on one line.
          list(false, { grow: true }, has),
          button(n === 3 ? 'Write to us' : 'Book it', n === 2 ? 'primary' : 'secondary', BOOK),
        ],
      ),
    ),
  ])

const QUESTIONS = [
  ['What if it is cloudy?', 'We light the stove, show what we saw last week, and you come again for nothing.'],
  ['How cold does it get?', 'Colder than you think. Two pairs of socks have never been regretted.'],
  ['May children come?', 'From about seven, when staying up is a treat. Bring the ones who ask why.'],
  ['Can I photograph?', 'Yes, without a flash. One red torch for each tripod.'],
]

/** What people ask before they come. */
const questions = (): Section =>
  section('questions', { fill: role('panel'), paddingTop: token('space-8'), paddingBottom: token('space-8') }, [
    heading(2, 'Asked on the telephone', { span: 4, middle: { span: 8 }, narrow: { span: 4 } }),
    group(
      {
        name: 'Answers',
        span: 8,
        start: 5,
        layout: 'column',
        rowGap: token('space-5'),
        middle: { span: 8, start: 1 },
        narrow: { span: 4 },
      },
      QUESTIONS.map(([asked, answered]) =>
        group({ name: 'Question', layout: 'column', rowGap: token('space-2') }, [heading(3, asked!), text(answered!)], undefined, {
          panel: 'details',
          ...(asked === QUESTIONS[0]![0] ? { open: true } : {}),
        }),
      ),
      undefined,
      { oneOpen: true },
    ),
  ])

/** The sections of the landing page between what visitors wrote and the closing ask. */
export const evening = (): Section[] => [timetable(), memberships(), questions()]
