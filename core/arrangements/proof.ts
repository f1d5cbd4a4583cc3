import { role } from '#core/values/colour'
import { token } from '#core/values/length'
import {
  type Arrangement,
  band,
  column,
  entries,
  eyebrow,
  grid,
  heading,
  lead,
  picture,
  quote,
  source,
  text,
  ruled,
  entry,
} from './build'

/** Proof: what others say, who they are, and figures. */
export const proof: Arrangement[] = [
  {
    id: 'proof-quotes',
    job: 'proof',
    name: 'Quotes side by side',
    note: 'Two or three voices of equal weight.',
    entries: { least: 2, usual: 3, most: 9 },
    build: (count) =>
      band('proof', { fill: role('panel'), rowGap: token('space-6') }, [
        column({ name: 'Head', span: 8 }, [eyebrow(), heading(2)]),
        grid(
          {},
          entries(
            count,
            3,
            {
              fill: role('ground'),
              corner: token('corner-2'),
              paddingTop: token('space-6'),
              paddingBottom: token('space-6'),
              paddingSides: token('space-5'),
            },
            () => [quote(), source()],
          ),
        ),
      ]),
  },
  {
    id: 'proof-one-quote',
    job: 'proof',
    name: 'One quote, large',
    note: 'A single voice with all the room.',
    entries: null,
    build: () =>
      band('proof', {}, [
        column({ span: 8, start: 3, align: 'center', textAlign: 'center', middle: { start: 1, span: 8 } }, [
          eyebrow(),
          quote({ size: { fluid: { from: { at: 375, px: 26 }, to: { at: 1360, px: 40 } } }, lines: 'balance' }),
          source(),
        ]),
      ]),
  },
  {
    id: 'proof-logos',
    job: 'proof',
    name: 'Logo strip',
    note: 'Marks of those who trust it, in one quiet row.',
    entries: null,
    build: () =>
      band('proof', { paddingTop: token('space-7'), paddingBottom: token('space-7'), rowGap: token('space-5') }, [
        text({ textAlign: 'center', ink: role('ink-soft') }, { type: 'small' }),
        grid({ name: 'Logos', align: 'center', rowGap: token('space-4') }, [
          ...Array.from({ length: 6 }, () => picture(3, 1, { span: 2, fit: 'contain', middle: { span: 2 }, narrow: { span: 2 } })),
        ]),
      ]),
  },
  {
    id: 'proof-figures',
    job: 'proof',
    name: 'Figures',
    note: 'Numbers that speak, each with what it counts.',
    entries: { least: 2, usual: 4, most: 8 },
    build: (count) =>
      band('proof', { rowGap: token('space-6') }, [
        column({ name: 'Head', span: 7 }, [heading(2), lead()]),
        grid(
          {},
          entries(count, 4, { ...ruled('accent', 2), paddingTop: token('space-4') }, () => [
            heading(3, { spaceAfter: token('space-2') }, { type: 'heading-2' }),
            text({}, { type: 'small' }),
          ]),
        ),
      ]),
  },
  {
    id: 'proof-beside',
    job: 'proof',
    name: 'Quotes beside the claim',
    note: 'What is claimed at the left, who says so at the right.',
    entries: { least: 2, usual: 2, most: 6 },
    build: (count) =>
      band('proof', { rowGap: token('space-6') }, [
        column({ name: 'Head', span: 4, middle: { span: 8 } }, [eyebrow(), heading(2), text()]),
        grid(
          { span: 7, start: 6, rowGap: token('space-6'), middle: { span: 8 } },
          Array.from({ length: count }, () => entry({ ...ruled(), paddingTop: token('space-5') }, [quote(), source()])),
        ),
      ]),
  },
]
