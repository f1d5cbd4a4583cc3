import { DEFAULT_BREAKPOINTS } from '#core/site/defaults'
import type { Picture } from '#core/picture/picture'
import { FILE_FORMAT, FILE_VERSION, type Site } from '#core/site/schema'
import { autumn } from './autumn'
import { beginSite, painting } from './compose'
import { withInstruments } from './instruments'
import { autumnBrief, board, brief } from './observatory-brief'
import { DIRECTIONS, lamplight } from './observatory-directions'
import { withWinter } from './winter'

/** The pictures, each with what it is found by; and what every crop of it keeps, where that is not its middle. */
const PICTURES: [name: string, known: Pick<Picture, 'tags' | 'focal' | 'safe'>][] = [
  ['ridge-at-dusk', { tags: ['night', 'the ridge', 'dome'], focal: { x: 79, y: 84 } }],
  ['the-long-telescope', { tags: ['instruments'] }],
  ['the-stove', { tags: ['indoors', 'warmth'], focal: { x: 53, y: 55 }, safe: { left: 38, top: 20, width: 30, height: 66 } }],
  ['moon', { tags: ['sky', 'night'] }],
  ['cloud-in-the-hunter', { tags: ['sky'] }],
  ['the-log-book', { tags: ['indoors'] }],
  ['lanterns-on-the-path', { tags: ['night', 'the ridge'] }],
]

/** The observatory's site: the landing page, a page with a single action and its confirmation, and the instruments. */
export function observatory(): Site {
  beginSite()
  const page = 'autumn'
  const sections = autumn(page)
  // Links name sections by their jobs while the page is written; here they get the sections' ids.
  const byJob = new Map<string, string>(sections.map((one) => [one.job, one.id]))
  const linked = JSON.parse(JSON.stringify(sections), (key, value: unknown) =>
    key === 'section' && typeof value === 'string' ? byJob.get(value) : value,
  ) as typeof sections
  return withInstruments(
    withWinter({
      format: FILE_FORMAT,
      version: FILE_VERSION,
      name: 'Hollin Ridge Observatory',
      language: 'en',
      breakpoints: DEFAULT_BREAKPOINTS,
      views: [1280, 768, 375],
      travel: { change: { kind: 'fade', seconds: 0.35 } },
      launch: {
        address: 'https://hollinridge.example',
        owner: 'Hollin Ridge Observatory',
        icon: { letter: 'H', ground: 'primary', ink: 'on-primary' },
        share: 'ridge-at-dusk',
      },
      guide: lamplight,
      directions: DIRECTIONS,
      fonts: [],
      pictures: PICTURES.map(([name, known]) => ({ ...painting(name), ...known })),
      brief,
      shared: [],
      unplaced: [],
      board,
      pages: [
        {
          id: page,
          name: 'Autumn nights',
          address: '',
          title: { en: 'Autumn nights at Hollin Ridge Observatory' },
          brief: autumnBrief,
          description: {
            en: 'Two hours under one of the darkest skies in the county. Public evenings on Fridays and Saturdays, September to March. Bring a coat.',
          },
          sections: linked,
        },
      ],
    }),
  )
}
