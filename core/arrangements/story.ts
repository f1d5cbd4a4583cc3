import { token } from '#core/values/length'
import { type Arrangement, band, call, column, eyebrow, heading, lead, picture, quote, source, text, ruled } from './build'

/** Story: how it came about, or how it goes. */
export const story: Arrangement[] = [
  {
    id: 'story-column',
    job: 'story',
    name: 'One column',
    note: 'Plain reading, about 65 characters to a line.',
    entries: null,
    build: () =>
      band('story', {}, [
        column(
          {
            span: 8,
            start: 3,
            width: { value: 100, unit: '%' },
            maxWidth: { value: 640, unit: 'px' },
            selfJustify: 'center',
            middle: { start: 1 },
          },
          [eyebrow(), heading(2), lead(), text({ spaceAfter: token('space-4') }), call({}, 'secondary')],
        ),
      ]),
  },
  {
    id: 'story-picture',
    job: 'story',
    name: 'Beside a tall picture',
    note: 'A picture keeps company with the text all the way down.',
    entries: null,
    build: () =>
      band('story', { rowGap: token('space-6') }, [
        picture(3, 4, { span: 5, middle: { span: 8, aspect: { width: 16, height: 9 } } }),
        column({ span: 6, start: 7, middle: { span: 8 } }, [
          eyebrow(),
          heading(2),
          text({ spaceAfter: token('space-4') }),
          call({}, 'secondary'),
        ]),
      ]),
  },
  {
    id: 'story-aside',
    job: 'story',
    name: 'With a pulled quote',
    note: 'The text at the left, one sentence of it held up at the right.',
    entries: null,
    build: () =>
      band('story', { rowGap: token('space-6') }, [
        column({ span: 6, middle: { span: 8 } }, [heading(2), text({ spaceAfter: token('space-4') })]),
        column(
          {
            name: 'Aside',
            span: 4,
            start: 9,
            ...ruled('accent', 2),
            paddingTop: token('space-5'),
            middle: { span: 8 },
          },
          [quote(), source()],
        ),
      ]),
  },
]
