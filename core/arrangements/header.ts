import { token } from '#core/values/length'
import { type Arrangement, band, call, group, type Styling, link, nav, ruled } from './build'

const AIR: Styling = { paddingTop: token('space-4'), paddingBottom: token('space-4'), align: 'center', rowGap: token('space-3') }
const narrow = { paddingTop: token('space-4'), paddingBottom: token('space-4') }
const name = (look: Styling = {}) => link({ name: 'Name', weight: 640, span: 3, middle: { span: 8 }, narrow: { span: 4 }, ...look })

/** Headers: who this is, and where one can go. */
export const headers: Arrangement[] = [
  {
    id: 'header-bar',
    job: 'header',
    name: 'Bar',
    note: 'The name at the left, the pages and one button at the right.',
    entries: null,
    build: () =>
      band('header', { ...AIR, narrow }, [
        // One row at every width: the name gives way by breaking, the links by folding.
        group({ name: 'Row', layout: 'row', align: 'center', gap: token('space-5'), narrow: { gap: token('space-4') } }, [
          link({ name: 'Name', weight: 640, grow: true }),
          nav({ justify: 'end' }, { follows: true, folds: { below: 'middle', as: 'drop' } }),
          call({ spaceAfter: { value: 0, unit: 'px' } }),
        ]),
      ]),
  },
  {
    id: 'header-split',
    job: 'header',
    name: 'Split',
    note: 'The name in the middle of a row of its own, the links under a rule.',
    entries: null,
    build: () =>
      band('header', { ...AIR, narrow }, [
        name({ span: 12, textAlign: 'center', middle: { span: 8 }, narrow: { span: 4 } }),
        nav(
          { span: 12, justify: 'center', ...ruled(), paddingTop: token('space-3'), middle: { span: 8 }, narrow: { span: 4 } },
          { follows: true },
        ),
      ]),
  },
  {
    id: 'header-minimal',
    job: 'header',
    name: 'Minimal',
    note: 'The name alone, for pages with a single action.',
    entries: null,
    build: () => band('header', { ...AIR, narrow }, [name({ span: 12 })]),
  },
]
