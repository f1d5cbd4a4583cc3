import { role } from '#core/values/colour'
import { token } from '#core/values/length'
import { type Arrangement, band, column, entries, eyebrow, grid, heading, lead, text, ruled, entry } from './build'

/** Timetable: when things happen. The time stands in the eyebrow of each entry. */
export const timetable: Arrangement[] = [
  {
    id: 'timetable-rows',
    job: 'timetable',
    name: 'Rows',
    note: 'Time, what, and a word about it, ruled like a timetable.',
    entries: { least: 2, usual: 5, most: 24 },
    build: (count) =>
      band('timetable', { rowGap: token('space-6') }, [
        column({ name: 'Head', span: 8 }, [heading(2), lead()]),
        grid(
          { rowGap: token('space-4') },
          Array.from({ length: count }, () =>
            entry({ layout: 'grid', rowGap: token('space-1'), ...ruled(), paddingTop: token('space-4') }, [
              eyebrow({ span: 2, middle: { span: 2 } }),
              heading(3, { span: 4, middle: { span: 6 }, narrow: { span: 4 } }, { type: 'heading-4' }),
              text({ span: 6, middle: { span: 6, start: 3 }, narrow: { span: 4 } }),
            ]),
          ),
        ),
      ]),
  },
  {
    id: 'timetable-columns',
    job: 'timetable',
    name: 'Columns',
    note: 'A few times side by side.',
    entries: { least: 2, usual: 4, most: 8 },
    build: (count) =>
      band('timetable', { fill: role('panel'), rowGap: token('space-6') }, [
        column({ name: 'Head', span: 7 }, [eyebrow(), heading(2)]),
        grid(
          {},
          entries(count, 4, {}, () => [eyebrow(), heading(3, {}, { type: 'heading-4' }), text()]),
        ),
      ]),
  },
]
