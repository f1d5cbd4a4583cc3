import { mockupBody } from '#core/render/mockup'
import { viewportHeightFor } from '#core/grid/viewport-height'
import type { Page, Site } from '#core/site/schema'
import { isFilm, type Making, type Picture } from '#core/picture/picture'
import type { Store } from './database'
import { readFont } from './fonts'
import { pictureAt, readOriginal, shownWidth } from './pictures'
import { printed } from './web-export'

const dataUrl = (type: string, bytes: Uint8Array) => `data:${type};base64,${Buffer.from(bytes).toString('base64')}`

/** One way in which a picture is shown. */
const keyOf = ({ hash }: Picture, { turn, opacity }: Making = {}) => `${hash} ${turn ?? 0} ${opacity ?? 1}`

/** The markup of a page's mockup, with all that it shows inside it. */
export async function mockupMarkup(
  store: Store,
  site: Site,
  page: Page,
  width: number,
  density: number,
): Promise<{ body: string }> {
  const wanted = await printed({ ...site, pages: [page] }, 'minified')
  const shown = new Map(
    wanted.pictures.filter(({ picture }) => !isFilm(picture)).map((one) => [keyOf(one.picture, one.making), one]),
  )
  const pictures = new Map<string, string>()
  for (const [key, { picture, making = {} }] of shown) {
    const { hash } = picture
    const vector = picture.type === 'image/svg+xml' && !making.turn && making.opacity === undefined
    const bytes = vector
      ? await readOriginal(store, hash)
      : await pictureAt(store, hash, shownWidth(Math.min(picture.width, width * density)), undefined, making)
    if (bytes) pictures.set(key, dataUrl(vector ? 'image/svg+xml' : 'image/webp', bytes))
  }
  const fonts = await Promise.all(
    wanted.fonts.map(async ({ font }) => {
      const bytes = await readFont(font.name, store.folder)
      return { file: font, url: bytes ? dataUrl('font/woff2', bytes) : '' }
    }),
  )
  return {
    body: mockupBody(
      site,
      page,
      {
        // Of a film the browser takes the first frame itself.
        picture: (picture, making) => pictures.get(keyOf(picture, making)) ?? (isFilm(picture) ? `/pictures/${picture.hash}` : ''),
        fonts: fonts.filter((one) => one.url !== ''),
      },
      viewportHeightFor(width),
    ),
  }
}
