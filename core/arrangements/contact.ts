import { token } from '#core/values/length'
import {
  type Arrangement,
  band,
  call,
  column,
  entries,
  eyebrow,
  field,
  form,
  grid,
  heading,
  link,
  picture,
  text,
  ruled,
} from './build'

/** Contact: how to reach those behind it. */
export const contact: Arrangement[] = [
  {
    id: 'contact-form',
    job: 'contact',
    name: 'Form and details',
    note: 'Write here, or reach us there.',
    entries: null,
    build: () =>
      band('contact', { rowGap: token('space-6') }, [
        column({ span: 5, middle: { span: 8 } }, [eyebrow(), heading(2), text(), link({ underline: true })]),
        form({ span: 6, start: 7, middle: { span: 8 } }, [
          field({}, { input: 'text' }),
          field(),
          field({}, { input: 'area' }),
          call(),
        ]),
      ]),
  },
  {
    id: 'contact-details',
    job: 'contact',
    name: 'Details in columns',
    note: 'Address, times and telephone, side by side over a picture of the place.',
    entries: { least: 2, usual: 3, most: 6 },
    build: (count) =>
      band('contact', { rowGap: token('space-6') }, [
        column({ name: 'Head', span: 8 }, [heading(2), text()]),
        grid(
          {},
          entries(count, 4, { ...ruled(), paddingTop: token('space-4') }, () => [
            heading(3, {}, { type: 'heading-4' }),
            text({ spaceAfter: token('space-2') }),
            link({ underline: true }),
          ]),
        ),
        picture(21, 9, { span: 12 }),
      ]),
  },
]
