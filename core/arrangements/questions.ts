import { role } from '#core/values/colour'
import { token } from '#core/values/length'
import { type Arrangement, band, call, column, eyebrow, grid, heading, text, ruled, entry, entries } from './build'

/** Questions and their answers, all of them open to be read. */
export const questions: Arrangement[] = [
  {
    id: 'questions-margin',
    job: 'questions',
    name: 'Heading in the margin',
    note: 'Questions in one ruled column, the heading beside them.',
    entries: { least: 2, usual: 5, most: 24 },
    build: (count) =>
      band('questions', { rowGap: token('space-6') }, [
        column({ name: 'Head', span: 4, middle: { span: 8 } }, [eyebrow(), heading(2), text(), call({}, 'secondary')]),
        grid(
          { span: 7, start: 6, rowGap: token('space-5'), middle: { span: 8 } },
          Array.from({ length: count }, () =>
            entry({ ...ruled(), paddingTop: token('space-5') }, [
              heading(3, { spaceAfter: token('space-3') }),
              text({ spaceAfter: token('space-2') }),
            ]),
          ),
        ),
      ]),
  },
  {
    id: 'questions-two',
    job: 'questions',
    name: 'Two columns',
    note: 'Many short answers in less height.',
    entries: { least: 2, usual: 6, most: 24 },
    build: (count) =>
      band('questions', { fill: role('panel'), rowGap: token('space-6') }, [
        column({ name: 'Head', span: 8 }, [heading(2), text()]),
        grid(
          { rowGap: token('space-5') },
          // An odd number stands in rows of three and two, and under each other where there is no room for that.
          entries(count, count % 2 === 0 ? 2 : 3, count % 2 === 0 ? {} : { middle: { span: 8 } }, () => [
            heading(3, {}, { type: 'heading-4' }),
            text(),
          ]),
        ),
      ]),
  },
]
