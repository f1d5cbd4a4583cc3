import type { PageBrief, SiteBrief } from '#core/site/brief'
import type { BoardCard } from '#core/site/board'

/** The brief of the observatory's site, as it was taken down over tea. */
export const brief: SiteBrief = {
  visitors: 'Families and beginners from the towns within an hour’s drive. Most have never looked through a telescope.',
  comfort: 'everyday',
  reasons: 'A clear, dark evening out with the children that is not a screen, and someone who answers questions.',
  tone: 'Plain, warm, a little dry. Bring a coat; we will bring the galaxies.',
  aim: 'book',
  action: 'Book an evening',
  constraints: [
    { id: 'indigo', kind: 'colour-wanted', hex: '#1A1D47' },
    { id: 'lamp', kind: 'colour-wanted', hex: '#FFD36B' },
    { id: 'faces', kind: 'faces', families: ['fraunces', 'instrument-sans'] },
    { id: 'red', kind: 'colour-unwanted', hex: '#C00000' },
  ],
  audit: [
    {
      id: 'a1',
      what: 'The page asks for nothing: the telephone number stands at its foot, in grey',
      where: '2009 page, below the fold',
      severity: 'grave',
      remedy: 'Ask for the booking in the first screen, and once more at the end',
      answeredBy: 'd00c',
    },
    {
      id: 'a2',
      what: 'Text of 11 px in #999999 on white, a contrast of 2.8 to 1',
      where: '2009 page, throughout',
      severity: 'serious',
      remedy: 'Body text of at least 16 px at 4.5 to 1 or better',
      answeredBy: 'd00q',
    },
    {
      id: 'a3',
      what: 'Nobody learns what happens between dusk and the way home',
      where: '2009 page, “Visits”',
      severity: 'serious',
      remedy: 'The evening as a plan in three steps',
      answeredBy: 'd01d',
    },
    {
      id: 'a4',
      what: 'Prices are a scanned leaflet, so they cannot be read aloud or searched',
      where: '2009 page, “Membership”',
      severity: 'serious',
      remedy: 'Four plans as text, one of them featured',
    },
  ],
}

/** What the landing page is for. */
export const autumnBrief: PageBrief = {
  aim: null,
  action: '',
  what: 'Public evenings under the darkest skies of the county',
  why: 'Volunteers who love being asked',
  now: 'Book an autumn night',
  constraints: [
    { id: 'links', kind: 'most-links', count: 7 },
    { id: 'words', kind: 'opening-words', count: 45 },
    { id: 'parts', kind: 'sections', jobs: ['opening', 'reasons', 'plan', 'proof', 'closing'] },
  ],
}

/** What the single-action page is for. */
export const winterBrief: PageBrief = {
  aim: 'sign-up',
  action: 'Send me the chart',
  what: 'A chart of the winter sky on one sheet of paper',
  why: 'Drawn for bare eyes and cold fingers',
  now: 'Give a mail address, and the chart is sent',
  constraints: [
    { id: 'none', kind: 'most-links', count: 0 },
    { id: 'single', kind: 'one-action' },
    { id: 'thanks', kind: 'confirmation' },
  ],
}

const at = (id: string, x: number, y: number, width: number, height: number, caption = '') => ({ id, x, y, width, height, caption })

/** The references board: what was liked, and in what. */
export const board: BoardCard[] = [
  {
    ...at('b1', 24, 24, 400, 250, 'Violet low on the horizon, the one lamp in the slit'),
    kind: 'picture',
    picture: 'ridge-at-dusk',
  },
  ...[
    { hex: '#25214F', share: 0.387, width: 138 },
    { hex: '#463B7D', share: 0.272, width: 97 },
    { hex: '#0E0D26', share: 0.239, width: 85 },
    { hex: '#8265AE', share: 0.1, width: 40 },
    { hex: '#CEB07C', share: 0.002, width: 40 },
  ].map(({ hex, share, width }, i, all): BoardCard => {
    const x = 24 + all.slice(0, i).reduce((sum, one) => sum + one.width, 0)
    return { ...at(`ridge${i}`, x, 308, width, 88, i === 0 ? 'Out of the ridge' : ''), kind: 'colour', hex, share, group: 'ridge' }
  }),
  { ...at('b6', 448, 24, 300, 200, 'Ink on cream: the log book’s own colours'), kind: 'picture', picture: 'the-log-book' },
  {
    ...at('b7', 448, 264, 300, 132, 'Warm, with a little of the almanac'),
    kind: 'type',
    family: 'fraunces',
    weight: 560,
    sample: 'Bring a coat',
  },
  {
    ...at('b8', 772, 24, 186, 124),
    kind: 'note',
    text: 'No stock galaxies. Everything is seen from this hill, through these twelve instruments.',
  },
  { ...at('b9', 772, 172, 186, 224, 'Brass and shadow, lit from the left'), kind: 'picture', picture: 'the-long-telescope' },
]
