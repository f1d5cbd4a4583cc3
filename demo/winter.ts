import { deckLinks } from '#core/deck/links'
import { parseDeck } from '#core/deck/parse'
import { reconcile } from '#core/reconcile/reconcile'
import { applyEdit, type Edit } from '#core/edits/index'
import { OUTLINES } from '#core/outlines/outlines'
import { takeOutline } from '#core/outlines/take'
import { newPage } from '#core/site/defaults'
import { idMaker } from '#core/values/ids'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { seeded } from './noise'
import { winterBrief } from './observatory-brief'

const COPY = `# Winter sky chart

## Header

- [Hollin Ridge Observatory](winter-sky-chart.html)

## Sign up

*One sheet of paper, free*

### The winter sky, drawn for cold fingers

A chart of what stands over the ridge from December to February: large enough to read by a red lamp, small enough for a coat pocket.

- [ ] Mail address

[Send me the chart]()

One message with one chart. Your address is used for nothing else.

## Reasons

*On the sheet*

### What it shows

Three things that you can find tonight without any instrument.

#### Nine constellations

The Hunter, the Bull, the Twins and six more, as they stand at nine in the evening.

#### The paths of four planets

Where to look for them each week, and which of those bright points is one.

#### Where to stand

Eight lay-bys with a dark horizon, each tried by one of our volunteers and a flask.

## Proof

*From the log book*

> We pinned it inside the van door and stopped arguing about which one was Saturn.
>
> — A family of five, in January

## Footer

Hollin Ridge Observatory is run by volunteers, above Hollin, on the coast road.

# Winter sky chart: thank you

## Opening

*Sent*

### The chart is on its way

Look in your mail in a minute or two. Print it on one sheet; it folds twice.

[See the autumn nights](index.html)
`

/** Adds the page with a single action and its confirmation: the outline taken, and its copy placed. */
export function withWinter(site: Site): Site {
  const makeId = idMaker(seeded(2611))
  const apply = (from: Site, edits: readonly Edit[]) => edits.reduce((now: Site, edit) => applyEdit(now, edit).site, from)
  const page = { ...newPage(makeId, 'Winter sky chart', 'winter-sky-chart'), brief: winterBrief }
  const added = apply(site, [{ kind: 'page-add', index: 1, page }])
  const outline = OUTLINES.find((one) => one.id === 'sign-up')!
  const laid = apply(added, takeOutline(added, page.id, outline.rows, outline.single, makeId))
  const links = deckLinks(laid)
  const written = apply(
    laid,
    reconcile(laid, parseDeck(COPY, links), { language: 'en', links, makeId, missing: 'keep', home: page.id }),
  )
  const titles: Edit[] = written.pages.slice(1).map((one) => ({
    kind: 'page-field',
    page: one.id,
    values:
      one.id === page.id
        ? {
            title: { en: 'The winter sky on one sheet, free' },
            description: {
              en: 'A chart of the winter sky over Hollin Ridge, drawn for bare eyes and cold fingers. Leave a mail address, and it is sent.',
            },
          }
        : {
            title: { en: 'The chart is on its way' },
            description: { en: 'The winter sky chart of Hollin Ridge Observatory has been sent.' },
            unsearched: true,
          },
  }))
  const form = [...walkPage(written.pages[1]!)].find((block) => block.kind === 'form')!
  const sent: Edit = { kind: 'field', block: form.id, field: 'sendTo', value: 'https://post.hollin-ridge.example/chart' }
  const excused: Edit = {
    kind: 'list',
    list: 'excuses',
    drop: [],
    put: [
      {
        item: {
          id: 'noindigo',
          page: page.id,
          kind: 'brief',
          beside: 'indigo',
          reason: 'Ink on cream alone, as the sheet is printed.',
        },
      },
    ],
  }
  return apply(written, [...titles, sent, excused])
}
