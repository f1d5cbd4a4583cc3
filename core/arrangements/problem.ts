import { role } from '#core/values/colour'
import { token } from '#core/values/length'
import { type Arrangement, band, column, eyebrow, heading, lead, list, picture, text } from './build'

/** Problem: what the visitor is up against. */
export const problem: Arrangement[] = [
  {
    id: 'problem-margin',
    job: 'problem',
    name: 'Heading in the margin',
    note: 'The problem named at the left, told at the right.',
    entries: null,
    build: () =>
      band('problem', { rowGap: token('space-4') }, [
        column({ name: 'Head', span: 4, middle: { span: 8 } }, [eyebrow(), heading(2)]),
        column({ span: 7, start: 6, middle: { span: 8 } }, [lead(), text({ maxWidth: { value: 40, unit: 'em' } })]),
      ]),
  },
  {
    id: 'problem-list',
    job: 'problem',
    name: 'List beside a picture',
    note: 'What goes wrong, point by point, with a picture of it.',
    entries: null,
    build: () =>
      band('problem', { fill: role('panel'), align: 'center', rowGap: token('space-6') }, [
        picture(4, 3, { span: 5, middle: { span: 8, aspect: { width: 16, height: 9 } } }),
        column({ span: 6, start: 7, middle: { span: 8 } }, [heading(2), text(), list()]),
      ]),
  },
]
