import { token } from '#core/values/length'
import { type Arrangement, band, column, entries, eyebrow, grid, heading, lead, picture, text, entry } from './build'

/** People: who is behind it. */
export const people: Arrangement[] = [
  {
    id: 'people-grid',
    job: 'people',
    name: 'Portraits in a grid',
    note: 'Faces four to a row, name and task under each.',
    entries: { least: 2, usual: 4, most: 24 },
    build: (count) =>
      band('people', { rowGap: token('space-6') }, [
        column({ name: 'Head', span: 8 }, [eyebrow(), heading(2), lead()]),
        grid(
          {},
          entries(count, 4, { narrow: { span: 2 } }, () => [
            picture(4, 5, { spaceAfter: token('space-3') }),
            heading(3, { spaceAfter: token('space-1') }, { type: 'heading-4' }),
            text({}, { type: 'small' }),
          ]),
        ),
      ]),
  },
  {
    id: 'people-rows',
    job: 'people',
    name: 'Portraits in rows',
    note: 'For people of whom there is more to say.',
    entries: { least: 2, usual: 3, most: 12 },
    build: (count) =>
      band('people', { rowGap: token('space-6') }, [
        column({ name: 'Head', span: 4, middle: { span: 8 } }, [heading(2), text()]),
        grid(
          { span: 7, start: 6, rowGap: token('space-6'), middle: { span: 8 } },
          Array.from({ length: count }, () =>
            entry({ layout: 'row', gap: token('space-5'), align: 'center' }, [
              picture(1, 1, { width: { value: 112, unit: 'px' }, corner: token('corner-3') }),
              column({ grow: true }, [
                heading(3, { spaceAfter: token('space-1') }, { type: 'heading-4' }),
                text({ spaceAfter: token('space-1') }),
              ]),
            ]),
          ),
        ),
      ]),
  },
]
