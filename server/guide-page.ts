import { familiesOfGuide, specimenDocument, specimenDrawing } from '#core/specimen/specimen-document'
import { currentOf, inDirection } from '#core/site/directions'
import type { Page, Site } from '#core/site/schema'
import { fallbackCss, fontFaceCss, fontFiles } from '#core/type/families'
import type { Store } from './database'
import { readFont } from './fonts'
import { pictureAt } from './pictures'

/** Width of the mood pictures, px. */
const MOOD = 640

/** The style guide of a direction as an HTML page, whose fonts and pictures are the application's. */
export function styleSheetPage(site: Site, page: Page, direction: string): string {
  const shown = inDirection(site, direction)
  const fontCss = familiesOfGuide(shown)
    .flatMap((family) => [...fontFiles(family).map((file) => fontFaceCss(file, `/fonts/${file.name}`)), fallbackCss(family)])
    .join('')
  return specimenDocument(shown, page, { fontCss, picture: ({ hash }) => `/pictures/${hash}?w=${MOOD}` })
}

const dataUrl = (type: string, bytes: Uint8Array) => `data:${type};base64,${Buffer.from(bytes).toString('base64')}`

/** The same with all that it shows inside it, to be drawn as a picture. */
export async function styleSheetDrawing(store: Store, site: Site, page: Page, direction: string): Promise<string> {
  const shown = inDirection(site, direction)
  const pictures = new Map<string, string>()
  for (const id of currentOf(shown).mood) {
    const picture = site.pictures.find((one) => one.id === id)
    const bytes = picture && picture.type !== 'image/svg+xml' ? await pictureAt(store, picture.hash, MOOD) : undefined
    if (picture && bytes) pictures.set(picture.hash, dataUrl('image/webp', bytes))
  }
  const faces: string[] = []
  for (const file of familiesOfGuide(shown).flatMap(fontFiles)) {
    if (file.subset !== 'latin') continue
    const bytes = await readFont(file.name, store.folder)
    if (bytes) faces.push(fontFaceCss(file, dataUrl('font/woff2', bytes), true))
  }
  return specimenDrawing(shown, page, { fontCss: faces.join(''), picture: ({ hash }) => pictures.get(hash) ?? '' })
}
