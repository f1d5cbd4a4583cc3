import { role } from '#core/values/colour'
import { token } from '#core/values/length'
import {
  type Arrangement,
  band,
  call,
  column,
  eyebrow,
  grid,
  heading,
  lead,
  list,
  type Styling,
  price,
  term,
  text,
  ruled,
  entry,
} from './build'

const head = () => column({ name: 'Head', span: 8 }, [eyebrow(), heading(2), lead()])
const card = (featured: boolean): Styling => ({
  paddingTop: token('space-6'),
  paddingBottom: token('space-6'),
  paddingSides: token('space-5'),
  corner: token('corner-2'),
  edgeWidth: featured ? 2 : 1,
  edgeColour: role(featured ? 'accent' : 'line'),
  ...(featured ? { shadow: { token: 'shadow-2' } } : {}),
})

/** Prices: two to four plans; their widths divide the row exactly. */
export const prices: Arrangement[] = [
  {
    id: 'prices-cards',
    job: 'prices',
    name: 'Plans side by side',
    note: 'Two to four plans; the second stands out.',
    entries: { least: 2, usual: 3, most: 4 },
    build: (count) =>
      band('prices', { rowGap: token('space-6') }, [
        head(),
        grid(
          { align: 'stretch', rowGap: token('space-5') },
          Array.from({ length: count }, (_, i) =>
            entry({ ...card(i === 1), span: 12 / count, middle: { span: count === 3 && i === 2 ? 8 : 4 } }, [
              heading(3),
              price(),
              term(),
              list({ grow: true }),
              call({ selfJustify: 'stretch' }, i === 1 ? 'primary' : 'secondary'),
            ]),
          ),
        ),
        text({ ink: role('ink-soft') }, { type: 'small' }),
      ]),
  },
  {
    id: 'prices-rows',
    job: 'prices',
    name: 'Plans in rows',
    note: 'A row each: what it is, what it costs, where to get it.',
    entries: { least: 2, usual: 4, most: 12 },
    build: (count) =>
      band('prices', { rowGap: token('space-6') }, [
        head(),
        grid(
          { rowGap: token('space-5') },
          Array.from({ length: count }, () =>
            entry({ layout: 'grid', align: 'center', rowGap: token('space-3'), ...ruled(), paddingTop: token('space-5') }, [
              column({ span: 6, middle: { span: 8 } }, [heading(3, { spaceAfter: token('space-2') }), text()]),
              column({ name: 'Price', span: 3, middle: { span: 4 }, narrow: { span: 2 } }, [
                price(),
                term({ spaceAfter: token('space-1') }),
              ]),
              call({ span: 3, selfJustify: 'end', middle: { span: 4 }, narrow: { span: 2 } }, 'secondary'),
            ]),
          ),
        ),
      ]),
  },
  {
    id: 'prices-beside',
    job: 'prices',
    name: 'Plans beside the claim',
    note: 'What it is worth at the left, two plans at the right.',
    entries: { least: 2, usual: 2, most: 2 },
    build: (count) =>
      band('prices', { fill: role('panel'), rowGap: token('space-6') }, [
        column({ name: 'Head', span: 4, middle: { span: 8 } }, [eyebrow(), heading(2), text()]),
        grid(
          { span: 8, align: 'stretch', rowGap: token('space-5'), middle: { span: 8 } },
          Array.from({ length: count }, (_, i) =>
            entry({ ...card(i === 1), fill: role('ground'), span: 4 }, [
              heading(3),
              price(),
              term(),
              list({ grow: true }),
              call({ selfJustify: 'stretch' }, i === 1 ? 'primary' : 'secondary'),
            ]),
          ),
        ),
      ]),
  },
]
