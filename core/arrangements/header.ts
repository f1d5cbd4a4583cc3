import { token } from '#core/values/length'
import { type Arrangement, band, call, type Styling, link, nav, ruled } from './build'

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
        name(),
        nav({ span: 6, start: 4, justify: 'end', middle: { span: 5, justify: 'start' }, narrow: { span: 4 } }, true),
        call({ span: 3, selfJustify: 'end', middle: { span: 3 }, narrow: { span: 4, selfJustify: 'start' } }),
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
          true,
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
