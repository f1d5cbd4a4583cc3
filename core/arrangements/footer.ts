import { role } from '#core/values/colour'
import { token } from '#core/values/length'
import { type Arrangement, band, column, entries, grid, heading, link, nav, text, entry } from './build'

const small = { type: 'small' }
const links = () => nav({ layout: 'column', rowGap: token('space-2') })

/** Footers: where else one can go, and who is answerable. */
export const footers: Arrangement[] = [
  {
    id: 'footer-air',
    job: 'footer',
    name: 'Seven, two and two',
    note: 'Seven columns for the name and a sentence, one of air, two and two for links.',
    entries: { least: 2, usual: 2, most: 2 },
    build: (count) =>
      band(
        'footer',
        { fill: role('panel'), paddingTop: token('space-8'), paddingBottom: token('space-7'), rowGap: token('space-6') },
        [
          column({ name: 'Head', span: 7, middle: { span: 8 } }, [
            link({ name: 'Name', weight: 640 }),
            text({ maxWidth: { value: 32, unit: 'em' }, spaceBefore: token('space-3') }, small),
          ]),
          grid(
            { span: 4, start: 9, middle: { span: 8 } },
            Array.from({ length: count }, () =>
              entry({ span: 2, middle: { span: 4 }, narrow: { span: 2 } }, [heading(2, {}, { type: 'heading-4' }), links()]),
            ),
          ),
        ],
      ),
  },
  {
    id: 'footer-four',
    job: 'footer',
    name: 'Four columns',
    note: 'Links under four headings, the small print below.',
    entries: { least: 3, usual: 4, most: 8 },
    build: (count) =>
      band(
        'footer',
        { fill: role('panel'), paddingTop: token('space-8'), paddingBottom: token('space-7'), rowGap: token('space-6') },
        [
          grid(
            {},
            entries(count, 4, { narrow: { span: 2 } }, () => [heading(2, {}, { type: 'heading-4' }), text({}, small), links()]),
          ),
          text({ ink: role('ink-soft'), span: 12 }, small),
        ],
      ),
  },
  {
    id: 'footer-line',
    job: 'footer',
    name: 'One line',
    note: 'The name and the small print in one line.',
    entries: null,
    build: () =>
      band(
        'footer',
        {
          paddingTop: token('space-5'),
          paddingBottom: token('space-5'),
          align: 'center',
          narrow: { paddingTop: token('space-5'), paddingBottom: token('space-5') },
        },
        [
          text({ span: 7, spaceAfter: { value: 0, unit: 'px' }, middle: { span: 8 } }, small),
          nav({ span: 5, justify: 'end', middle: { span: 8, justify: 'start' } }),
        ],
      ),
  },
  {
    id: 'footer-print',
    job: 'footer',
    name: 'Small print alone',
    note: 'One line of text and nothing to follow, for pages with a single action.',
    entries: null,
    build: () =>
      band(
        'footer',
        {
          paddingTop: token('space-5'),
          paddingBottom: token('space-5'),
          narrow: { paddingTop: token('space-5'), paddingBottom: token('space-5') },
        },
        [text({ span: 12, textAlign: 'center', spaceAfter: { value: 0, unit: 'px' } }, small)],
      ),
  },
]
