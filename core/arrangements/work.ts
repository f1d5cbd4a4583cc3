import { role } from '#core/values/colour'
import { token } from '#core/values/length'
import { type Arrangement, band, call, column, entries, eyebrow, grid, heading, lead, picture, text, entry } from './build'

/** Work: what is made or seen. */
export const work: Arrangement[] = [
  {
    id: 'work-cards',
    job: 'work',
    name: 'Card grid',
    note: 'Things of a kind, a picture and a few words each.',
    entries: { least: 2, usual: 6, most: 24 },
    build: (count) =>
      band('work', { rowGap: token('space-6') }, [
        column({ name: 'Head', span: 8 }, [eyebrow(), heading(2), lead()]),
        grid(
          {},
          entries(count, 3, {}, () => [picture(4, 3, { spaceAfter: token('space-4') }), heading(3), text()]),
        ),
        call({ spaceBefore: token('space-4') }, 'secondary'),
      ]),
  },
  {
    id: 'work-rows',
    job: 'work',
    name: 'Alternating rows',
    note: 'Each thing gets a row; pictures change sides.',
    entries: { least: 2, usual: 3, most: 12 },
    build: (count) =>
      band('work', { rowGap: token('space-8') }, [
        column({ name: 'Head', span: 8 }, [eyebrow(), heading(2)]),
        grid(
          { rowGap: token('space-8') },
          Array.from({ length: count }, (_, i) => {
            const shown = picture(4, 3, {
              span: 6,
              ...(i % 2 ? { start: 7, order: 2 } : {}),
              middle: { span: 4 },
              narrow: { order: 0 },
            })
            const words = column(
              { span: 5, start: i % 2 ? 1 : 8, middle: { span: 4 }, ...(i % 2 ? { order: 1, narrow: { order: 1 } } : {}) },
              [eyebrow(), heading(3), text(), call({}, 'secondary')],
            )
            return entry({ layout: 'grid', align: 'center', rowGap: token('space-5') }, [shown, words])
          }),
        ),
      ]),
  },
  {
    id: 'work-gallery',
    job: 'work',
    name: 'Gallery',
    note: 'Pictures first, a caption under each.',
    entries: { least: 3, usual: 6, most: 24 },
    build: (count) =>
      band('work', { fill: role('panel'), rowGap: token('space-6') }, [
        column({ name: 'Head', span: 8 }, [heading(2), text()]),
        grid(
          {},
          entries(count, 4, { narrow: { span: 2 } }, () => [
            picture(1, 1, { spaceAfter: token('space-3') }),
            text({}, { type: 'small' }),
          ]),
        ),
      ]),
  },
]
