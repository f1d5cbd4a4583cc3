import { role } from '#core/values/colour'
import { token } from '#core/values/length'
import { type Arrangement, backdrop, band, call, column, eyebrow, heading, lead } from './build'

/** Closing: the wanted action, asked for once more. */
export const closings: Arrangement[] = [
  {
    id: 'closing-band',
    job: 'closing',
    name: 'Band',
    note: 'The ask at the left, the button at the right.',
    entries: null,
    build: () =>
      band(
        'closing',
        {
          fill: role('primary'),
          ink: role('on-primary'),
          paddingTop: token('space-8'),
          paddingBottom: token('space-8'),
          align: 'center',
          rowGap: token('space-5'),
        },
        [
          column({ span: 8, middle: { span: 8 } }, [eyebrow(), heading(2, { spaceAfter: token('space-3') }), lead()]),
          call({
            span: 4,
            selfJustify: 'end',
            fill: role('accent'),
            ink: role('on-accent'),
            middle: { span: 8, selfJustify: 'start' },
          }),
        ],
      ),
  },
  {
    id: 'closing-centred',
    job: 'closing',
    name: 'Centred',
    note: 'A last line with air all round.',
    entries: null,
    build: () =>
      band('closing', {}, [
        column({ span: 8, start: 3, align: 'center', textAlign: 'center', middle: { start: 1, span: 8 } }, [
          eyebrow(),
          heading(2),
          lead(),
          call({ selfJustify: 'center' }),
        ]),
      ]),
  },
  {
    id: 'closing-picture',
    job: 'closing',
    name: 'Over a picture',
    note: 'Leaves with the picture that the page opened with, or its answer.',
    entries: null,
    build: () =>
      band('closing', { fill: role('ink'), ink: role('ground'), minHeight: { value: 60, unit: 'vh' }, align: 'center' }, [
        backdrop(90, 0.7, 0.25),
        column({ span: 6, middle: { span: 8 } }, [eyebrow(), heading(2), lead(), call()]),
      ]),
  },
]
