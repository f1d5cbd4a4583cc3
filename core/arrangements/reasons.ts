import { token } from '#core/values/length'
import { type Arrangement, band, column, entries, eyebrow, grid, heading, icon, lead, text, ruled, entry } from './build'

const head = (span: number) => column({ name: 'Head', span, middle: { span: 8 } }, [eyebrow(), heading(2), lead()])

/** Reasons: why the visitor should care. */
export const reasons: Arrangement[] = [
  {
    id: 'reasons-three',
    job: 'reasons',
    name: 'Three columns',
    note: 'Reasons of equal weight side by side, each under its icon.',
    entries: { least: 2, usual: 3, most: 9 },
    build: (count) =>
      band('reasons', { rowGap: token('space-6') }, [
        head(8),
        grid(
          {},
          entries(count, 3, {}, () => [icon(), heading(3), text()]),
        ),
      ]),
  },
  {
    id: 'reasons-four',
    job: 'reasons',
    name: 'Four columns',
    note: 'Short reasons under a rule, four to a row.',
    entries: { least: 4, usual: 4, most: 12 },
    build: (count) =>
      band('reasons', { rowGap: token('space-6') }, [
        head(7),
        grid(
          {},
          entries(count, 4, { ...ruled('ink', 2), paddingTop: token('space-4') }, () => [heading(4), text()]),
        ),
      ]),
  },
  {
    id: 'reasons-icon-rows',
    job: 'reasons',
    name: 'Icon rows',
    note: 'The claim at the left; reasons in rows at the right, an icon before each.',
    entries: { least: 2, usual: 4, most: 10 },
    build: (count) =>
      band('reasons', { rowGap: token('space-6') }, [
        head(4),
        grid(
          { span: 7, start: 6, rowGap: token('space-5'), middle: { span: 8 } },
          Array.from({ length: count }, () =>
            entry({ layout: 'row', gap: token('space-5') }, [
              icon({ spaceAfter: token('space-1') }, 32),
              column({ grow: true }, [heading(4, { spaceAfter: token('space-2') }), text()]),
            ]),
          ),
        ),
      ]),
  },
]
