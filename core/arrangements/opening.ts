import { role } from '#core/values/colour'
import { token } from '#core/values/length'
import { type Arrangement, backdrop, band, call, column, eyebrow, field, form, group, heading, lead, picture } from './build'

const words = (first = 1) => [eyebrow(), heading(first), lead({ spaceAfter: token('space-6') }), call()]

/** Openings: the first screen of a page. */
export const openings: Arrangement[] = [
  {
    id: 'opening-split',
    job: 'opening',
    name: 'Split',
    note: 'Words and picture share the row, half and half.',
    entries: null,
    build: () =>
      band('opening', { align: 'center', rowGap: token('space-6') }, [
        column({ span: 6, middle: { span: 8 } }, words()),
        picture(4, 5, { span: 5, start: 8, middle: { span: 8, aspect: { width: 16, height: 9 } } }),
      ]),
  },
  {
    id: 'opening-over-picture',
    job: 'opening',
    name: 'Centred over a picture',
    note: 'One strong picture behind few words; the scrim carries them.',
    entries: null,
    build: () =>
      band('opening', { minHeight: { value: 76, unit: 'vh' }, align: 'center', ink: role('ground'), fill: role('ink') }, [
        backdrop(0, 0.55, 0.45),
        column({ span: 8, start: 3, align: 'center', textAlign: 'center', middle: { span: 8, start: 1 } }, [
          eyebrow(),
          heading(1),
          lead({ spaceAfter: token('space-6') }),
          call({ selfJustify: 'center' }),
        ]),
      ]),
  },
  {
    id: 'opening-statement',
    job: 'opening',
    name: 'Statement',
    note: 'A long line of type says it all; a picture is not needed.',
    entries: null,
    build: () =>
      band('opening', {}, [
        eyebrow({ span: 12 }),
        heading(1, { span: 11, spaceAfter: token('space-6'), middle: { span: 8 } }),
        lead({ span: 6, start: 7, middle: { span: 6, start: 3 } }),
        call({ span: 6, start: 7, spaceBefore: token('space-5'), middle: { span: 6, start: 3 } }),
      ]),
  },
  {
    id: 'opening-form',
    job: 'opening',
    name: 'With a form',
    note: 'The wanted action is done at once, beside the words that ask for it.',
    entries: null,
    build: () =>
      band('opening', { align: 'center', rowGap: token('space-6') }, [
        column({ span: 6, middle: { span: 8 } }, [eyebrow(), heading(1), lead()]),
        form(
          {
            span: 5,
            start: 8,
            fill: role('panel'),
            corner: token('corner-2'),
            paddingTop: token('space-6'),
            paddingBottom: token('space-6'),
            paddingSides: token('space-6'),
            middle: { span: 8 },
          },
          [field(), call({ selfJustify: 'stretch' })],
        ),
      ]),
  },
  {
    id: 'opening-device',
    job: 'opening',
    name: 'With a device frame',
    note: 'Shows a thing on a screen: the picture stands in a plain frame.',
    entries: null,
    build: () =>
      band('opening', { align: 'center', rowGap: token('space-6') }, [
        column({ span: 7, middle: { span: 8 } }, words()),
        group(
          {
            name: 'Frame',
            span: 4,
            start: 9,
            edgeWidth: 10,
            edgeColour: role('ink'),
            corner: { value: 28, unit: 'px' },
            selfJustify: 'center',
            maxWidth: { value: 320, unit: 'px' },
            width: { value: 100, unit: '%' },
            middle: { span: 8 },
          },
          [picture(9, 18, { corner: { value: 18, unit: 'px' } })],
        ),
      ]),
  },
  {
    id: 'opening-short',
    job: 'opening',
    name: 'Short',
    note: 'For pages that are reached from another: name, one sentence, on to the matter.',
    entries: null,
    build: () =>
      band('opening', { paddingTop: token('space-8'), paddingBottom: token('space-7'), align: 'end', rowGap: token('space-4') }, [
        column({ span: 7, middle: { span: 8 } }, [eyebrow(), heading(1, { spaceAfter: { value: 0, unit: 'px' } })]),
        column({ name: 'Lead', span: 4, start: 9, middle: { span: 8 } }, [lead(), call({}, 'secondary')]),
      ]),
  },
]
