import { gzipSync } from 'node:zlib'
import type { Element, Root } from 'hast'
import { fromHtml } from 'hast-util-from-html'
import { viewportHeightFor } from '#core/grid/viewport-height'
import { fileWidthFor, sizeIn } from '#core/picture/choose-file'
import type { Picture } from '#core/picture/picture'
import type { WebChoices } from '#core/picture/measured'
import { pageFile } from '#core/render/own-links'
import type { HeavyPicture, ViewWeight } from '#core/analysis/first-load'
import type { Site } from '#core/site/schema'
import type { Printed } from './threads/jobs'
import { inThread } from './threads/pool'
import { cutFonts, type FontSource, type PictureSource, printed } from './web-export'

/** Bytes for each pixel of a file from which a picture is heavy, and the least that it weighs then. */
const HEAVY = { perPixel: 0.4, bytes: 60_000 }

type Offer = {
  media: number | null
  widths: { file: string; width: number }[]
  sizes: string | undefined
  src: string
  lazy?: boolean
}

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
    lazy: properties.loading === 'lazy',
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

/** Pictures that rules of a stylesheet fill blocks of some classes with, at a width of the window: later rules take the place of earlier ones. */
export function filesInRules(css: string, classes: ReadonlySet<string>, width: number): string[] {
  const found = new Map<string, string[]>()
  let below = Infinity
  for (const piece of css.split('}')) {
    const [body, selector, media] = piece.split('{').reverse()
    const [, px] = /^\s*@media\s*\(width\s*<\s*([\d.]+)px\)/.exec(media ?? '') ?? []
    if (px !== undefined) below = Number(px)
    // A bracket alone ends what is asked of the window.
    if (selector === undefined) below = Infinity
    else if (width < below && [...selector.matchAll(/\.([\w-]+)/g)].every(([, name]) => classes.has(name!))) {
      const files = [...body!.matchAll(/url\(["']?(pictures\/[^"')]+)/g)].map(([, file]) => file!)
      if (files.length > 0) found.set(selector, files)
    }
  }
  return [...found.values()].flat()
}

const sum = (all: readonly number[]) => all.reduce((total, one) => total + one, 0)
const packed = (text: string): number => (text === '' ? 0 : gzipSync(text).length)

/** What each page weighs in each view of the site, its pictures at one and two pixels for each px. */
export async function weightsOf(
  site: Site,
  choices: WebChoices,
  sources: { picture: PictureSource; font: FontSource },
): Promise<ViewWeight[]> {
  const files: Printed = await printed(site, 'minified', 'exported', choices)
  const wanted = new Map(files.pictures.map((one) => [one.file, one]))
  const known = new Map<string, number>()
  const bytesOf = async (file: string): Promise<number> => {
    const picture = wanted.get(file)
    if (!picture) return 0
    if (!known.has(file)) known.set(file, (await sources.picture(picture.picture, picture.width, picture.making))?.length ?? 0)
    return known.get(file)!
  }
  const weigh = async (all: Iterable<string>) => sum(await Promise.all([...all].map(bytesOf)))
  const originals = new Map<string, number>()
  const originalOf = async (picture: Picture): Promise<number> => {
    if (!originals.has(picture.hash)) originals.set(picture.hash, (await sources.picture(picture, null))?.length ?? 0)
    return originals.get(picture.hash)!
  }
  const textOf = (file: string) => files.texts.find((one) => one.file === file)?.text ?? ''
  const css = textOf('style.css')
  const packedCss = packed(css)
  const fonts = new Map((await cutFonts(files, sources.font)).map(({ file, bytes }) => [file, bytes?.length ?? 0]))
  const named = await inThread(site, 'page-fonts', site, { ms: 60_000 })
  const weights: ViewWeight[] = []
  for (const [n, page] of site.pages.entries()) {
    const html = textOf(pageFile(page))
    const tree = fromHtml(html)
    const images = imagesOf(tree)
    const classes = new Set([...html.matchAll(/class="([^"]*)"/g)].flatMap(([, names]) => names!.split(' ')))
    const texts = {
      html: packed(html),
      css: packedCss,
      script: sum(['script.js', 'motion.js'].map((file) => (html.includes(`src="${file}"`) ? packed(textOf(file)) : 0))),
      fonts: sum(named[n]!.map((name) => fonts.get(`fonts/${name}`) ?? 0)),
    }
    for (const width of site.views)
      for (const density of [1, 2]) {
        const taken = new Set(images.map((offers) => fileTaken(offers, width, density)))
        const filled = filesInRules(css, classes, width)
        for (const file of filled) taken.add(file)
        const now = images.filter((offers) => !offers.at(-1)!.lazy).map((offers) => fileTaken(offers, width, density))
        const atOnce = new Set([...now, ...filled])
        const shown = new Map([...taken].flatMap((file) => wanted.get(file)?.picture ?? []).map((one) => [one.hash, one]))
        const heavy: HeavyPicture[] = []
        for (const file of taken) {
          const one = wanted.get(file)
          if (!one || one.width === null) continue
          const [bytes, height] = [await bytesOf(file), Math.round((one.width * one.picture.height) / one.picture.width)]
          if (bytes >= HEAVY.bytes && bytes > HEAVY.perPixel * one.width * height)
            heavy.push({ picture: one.picture.id, bytes, width: one.width, height })
        }
        weights.push({
          page: page.id,
          width,
          density,
          taken: await weigh(taken),
          naive: sum(await Promise.all([...shown.values()].map(originalOf))),
          files: taken.size,
          later: await weigh([...taken].filter((file) => !atOnce.has(file))),
          ...texts,
          heavy,
        })
      }
  }
  return weights
}
