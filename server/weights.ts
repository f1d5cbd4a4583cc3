import type { Element, Root } from 'hast'
import { fromHtml } from 'hast-util-from-html'
import { viewportHeightFor } from '#core/grid/viewport-height'
import { fileWidthFor, sizeIn } from '#core/picture/choose-file'
import type { WebChoices } from '#core/picture/measured'
import { pageFile } from '#core/render/own-links'
import type { Site } from '#core/site/schema'
import type { Store } from './database'
import { readOriginal, wantedBytes } from './pictures'
import type { Printed } from './threads/jobs'
import { printed } from './web-export'

/** What the pictures of a page weigh in one view, bytes: those that a browser takes, and the originals as they came. */
export type ViewWeight = { page: string; width: number; density: number; taken: number; naive: number; files: number }

type Offer = { media: number | null; widths: { file: string; width: number }[]; sizes: string | undefined; src: string }

const text = (value: unknown): string | undefined =>
  typeof value === 'string' ? value : Array.isArray(value) ? value.join(', ') : undefined

function offerOf({ properties }: Element): Offer {
  const srcset = text(properties.srcSet) ?? ''
  const widths = srcset.split(/,\s+/).flatMap((one) => {
    const [, file, width] = /^(\S+) (\d+)w$/.exec(one.trim()) ?? []
    return file === undefined ? [] : [{ file, width: Number(width) }]
  })
  const [, below] = /^\(width < ([\d.]+)px\)$/.exec(text(properties.media) ?? '') ?? []
  return {
    media: below === undefined ? null : Number(below),
    widths,
    sizes: text(properties.sizes),
    src: text(properties.src) ?? srcset,
  }
}

/** The images of a page, each with what it offers, in the order in which a browser looks at it. */
function imagesOf(node: Element | Root, found: Offer[][] = []): Offer[][] {
  for (const child of node.children) {
    if (child.type !== 'element') continue
    if (child.tagName === 'picture') {
      const offers = child.children.flatMap((one) => (one.type === 'element' ? [offerOf(one)] : []))
      found.push(offers)
    } else if (child.tagName === 'img') found.push([offerOf(child)])
    else imagesOf(child, found)
  }
  return found
}

/** The file that a browser takes of an image; the lightest type comes first, and every browser of today reads it. */
export function fileTaken(offers: readonly Offer[], width: number, density: number): string {
  const offer = offers.find((one) => one.media === null || width < one.media) ?? offers.at(-1)!
  if (offer.widths.length === 0) return offer.src
  const needed = sizeIn(offer.sizes ?? '100vw', { width, height: viewportHeightFor(width) }) * density
  const taken = fileWidthFor(
    offer.widths.map((one) => one.width),
    needed,
    density,
  )
  return offer.widths.find((one) => one.width === taken)!.file
}

/** What the pictures of each page weigh in each view of the site, at one and two pixels for each px. */
export async function weightsOf(store: Store, site: Site, choices: WebChoices): Promise<ViewWeight[]> {
  const files: Printed = await printed(site, 'minified', 'exported', choices)
  const wanted = new Map(files.pictures.map((one) => [one.file, one]))
  const known = new Map<string, number>()
  const bytesOf = async (file: string): Promise<number> => {
    const picture = wanted.get(file)
    if (!picture) return 0
    if (!known.has(file)) known.set(file, (await wantedBytes(store, picture))?.length ?? 0)
    return known.get(file)!
  }
  const originals = new Map<string, number>()
  const originalOf = async (hash: string): Promise<number> => {
    if (!originals.has(hash)) originals.set(hash, (await readOriginal(store, hash))?.length ?? 0)
    return originals.get(hash)!
  }
  const weights: ViewWeight[] = []
  for (const page of site.pages) {
    const html = files.texts.find((one) => one.file === pageFile(page))?.text ?? ''
    const images = imagesOf(fromHtml(html))
    for (const width of site.views)
      for (const density of [1, 2]) {
        const taken = [...new Set(images.map((offers) => fileTaken(offers, width, density)))]
        const hashes = [...new Set(taken.flatMap((file) => wanted.get(file)?.picture.hash ?? []))]
        const sum = (all: readonly number[]) => all.reduce((total, one) => total + one, 0)
        weights.push({
          page: page.id,
          width,
          density,
          taken: sum(await Promise.all(taken.map(bytesOf))),
          naive: sum(await Promise.all(hashes.map(originalOf))),
          files: taken.length,
        })
      }
  }
  return weights
}
