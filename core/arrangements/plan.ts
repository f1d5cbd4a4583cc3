import { token } from '#core/values/length'
import { type Arrangement, band, call, column, entries, eyebrow, grid, heading, lead, picture, text, ruled, entry } from './build'

/** Plan: what happens, step by step. */
export const plan: Arrangement[] = [
  {
    id: 'plan-steps',
    job: 'plan',
    name: 'Steps across',
    note: 'Steps from left to right, each under its line.',
    entries: { least: 2, usual: 3, most: 8 },
    build: (count) =>
      band('plan', { rowGap: token('space-6') }, [
        column({ name: 'Head', span: 8 }, [eyebrow(), heading(2), lead()]),
        grid(
          {},
          entries(count, 4, { ...ruled('ink'), paddingTop: token('space-4') }, () => [eyebrow(), heading(3), text()]),
        ),
        call({ spaceBefore: token('space-4') }),
      ]),
  },
  {
    id: 'plan-rows',
    job: 'plan',
    name: 'Steps down',
    note: 'Steps under each other, for those that need more words.',
    entries: { least: 2, usual: 4, most: 12 },
    build: (count) =>
      band('plan', { rowGap: token('space-6') }, [
        column({ name: 'Head', span: 4, middle: { span: 8 } }, [eyebrow(), heading(2), lead(), call()]),
        grid(
          { span: 7, start: 6, rowGap: token('space-5'), middle: { span: 8 } },
          Array.from({ length: count }, () => entry({ ...ruled(), paddingTop: token('space-5') }, [eyebrow(), heading(3), text()])),
        ),
      ]),
  },
  {
    id: 'plan-pictured',
    job: 'plan',
    name: 'Pictured steps',
    note: 'A picture over each step.',
    entries: { least: 2, usual: 3, most: 6 },
    build: (count) =>
      band('plan', { rowGap: token('space-6') }, [
        column({ name: 'Head', span: 8 }, [heading(2), lead()]),
        grid(
          {},
          entries(count, 4, {}, () => [picture(4, 3, { spaceAfter: token('space-4') }), heading(3), text()]),
        ),
      ]),
  },
]
