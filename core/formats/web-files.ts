import type { Element } from 'hast'
import { spriteOf, symbolOf } from '#core/render/sprite'
import type { Icon } from '#core/values/icon'
import type { BlockOf } from '#core/blocks/index'
import type { WebChoices } from '#core/picture/measured'
import { isFilm, type Making, type Picture } from '#core/picture/picture'
import type { Page, Site } from '#core/site/schema'
import { fileAddresses, pageFile } from '#core/render/own-links'
import type { LinkedFile } from '#core/site/linked-file'
import { addressOf, NOT_FOUND } from '#core/render/site-address'
import { type Engine, printSite } from '#core/render/site'
import { type IconDrawn, iconNames, iconOf } from '#core/render/site-icons'
import { slug } from '#core/render/names'
import type { Layout } from '#core/render/rules'
import type { FontFile } from '#core/type/families'
import { launchFiles } from './launch-files'
import { FormatError } from './site-json'

/** A picture at a width in px (`null` for an SVG, as it is), how it is made, and the file that it becomes. */
export type WantedPicture = { file: string; picture: Picture; width: number | null; making?: Making | undefined }

/** Everything that the export of a site consists of: texts, and what must be made or copied. */
export type WebFiles = {
  texts: { file: string; text: string }[]
  pictures: WantedPicture[]
  fonts: { file: string; font: FontFile }[]
  /** Files that links lead to, each as it was uploaded. */
  linked: { file: string; linked: LinkedFile }[]
  /** What the icons of the site are drawn of, if it has any. */
  icon: IconDrawn | undefined
  /** Every character that a font must have; worked out when it is asked for. */
  characters: () => string
}

const STYLESHEET = 'style.css'
const SCRIPT = 'script.js'
const MOTION_SCRIPT = 'motion.js'
const ICONS = 'icons.svg'

/** File names of pictures: their own names, made unique. */
function pictureNames(site: Site): Map<string, string> {
  const taken = new Set<string>()
  return new Map(
    site.pictures.map((picture) => {
      const wanted = slug(picture.name.replace(/\.[a-z]+$/i, ''))
      let name = wanted
      for (let n = 2; taken.has(name); n++) name = `${wanted}-${n}`
      taken.add(name)
      return [picture.id, name]
    }),
  )
}

/** What a file's name says besides the picture's: its width, how it was made, and its type. */
function endOf(picture: Picture, width: number | null, { turn, opacity, format = 'webp' }: Making = {}): string {
  const made = `${turn ? `-turned-${turn}` : ''}${opacity === undefined ? '' : `-${Math.round(opacity * 100)}-percent`}`
  if (width === null) return `${made}.${isFilm(picture) ? picture.type.slice(6) : 'svg'}`
  return `${made}-${width}.${format === 'own' ? extensionOf(picture) : format}`
}

/** The type of file that a picture came in, by the end of its name; an SVG that had to be drawn is a PNG. */
export const extensionOf = ({ type }: Picture): string =>
  type === 'image/jpeg' ? 'jpg' : type === 'image/svg+xml' ? 'png' : type.slice(type.indexOf('/') + 1)

/** Where an exported form sends its entries: to its own address, or to the page that follows. */
function exportedForm(site: Site, { sendTo, link }: BlockOf<'form'>): string {
  if (sendTo) return sendTo
  const page = link && 'page' in link ? site.pages.find((one) => one.id === link.page) : undefined
  return page ? pageFile(page) : link && 'href' in link ? link.href : '#'
}

/**
 * Works out the files of a site's export: pages, one stylesheet, pictures in the widths needed, fonts used.
 * @throws FormatError if two files would have one name
 * @param choices what was asked for besides
 * @param formAddress where forms send their entries, if not where the export sends them
 * @param engine what the page is played for, if not for what it runs in
 */
export function webFiles(
  site: Site,
  style: Layout,
  formAddress?: (form: BlockOf<'form'>) => string,
  choices?: WebChoices,
  engine?: Engine,
): WebFiles {
  const asked = engine ? `?engine=${engine}` : ''
  const names = pictureNames(site)
  const pictures = new Map<string, WantedPicture>()
  const captions = new Map<string, string>()
  const icons = new Map<string, Element>()
  const addresses = fileAddresses(site)
  const linked = new Map<string, LinkedFile>()
  const printed = printSite(site, {
    style,
    choices,
    engine,
    addresses: {
      picture(picture, width, making) {
        const file = `pictures/${names.get(picture.id)}${endOf(picture, width, making)}`
        pictures.set(file, { file, picture, width, making })
        return file
      },
      file(one) {
        const file = addresses.get(one.id)!
        linked.set(file, one)
        return file
      },
      captions(block, language) {
        const file = `pictures/${names.get(block.video!)}.${language}.vtt`
        captions.set(file, block.captions![language]!)
        return file
      },
      ...(choices?.sprite
        ? {
            icon(icon: Icon, centred: boolean) {
              const id = centred ? `${icon.name}-centred` : icon.name
              icons.set(id, symbolOf(icon, id, centred))
              return `${ICONS}#${id}`
            },
          }
        : {}),
      page: pageFile,
      // It is shown at the address that was not found, which may be in any folder.
      ...(formAddress ? {} : { base: (page: Page) => (page.address === NOT_FOUND ? addressOf(site, pageFile(page)) : undefined) }),
      ...(formAddress ? { framed: (page: Page) => `${pageFile(page)}?inside` } : {}),
      form: formAddress ?? ((form) => exportedForm(site, form)),
      stylesheet: STYLESHEET + asked,
      script: SCRIPT,
      motionScript: MOTION_SCRIPT + asked,
      font: (font) => `fonts/${font.name}`,
    },
  })
  // A font that was uploaded twice is one file.
  const fonts = new Map(printed.fonts.map((font) => [`fonts/${font.name}`, font]))
  const files: WebFiles = {
    texts: [
      ...printed.pages.map(({ page, html }) => ({ file: pageFile(page), text: html })),
      { file: STYLESHEET, text: printed.css },
      ...(printed.script ? [{ file: SCRIPT, text: printed.script }] : []),
      ...(printed.motionScript ? [{ file: MOTION_SCRIPT, text: printed.motionScript }] : []),
      ...(icons.size > 0 ? [{ file: ICONS, text: spriteOf([...icons.values()]) }] : []),
      ...[...captions].map(([file, text]) => ({ file, text })),
      ...launchFiles(site),
    ],
    pictures: [...pictures.values()],
    fonts: [...fonts].map(([file, font]) => ({ file, font })),
    linked: [...linked].map(([file, one]) => ({ file, linked: one })),
    icon: iconOf(site),
    characters: printed.characters,
  }
  checkNames([
    ...[...files.texts, ...files.pictures, ...files.fonts, ...files.linked].map((one) => one.file),
    ...(files.icon ? iconNames(files.icon) : []),
  ])
  return files
}

/** Refuses two files of one name, also by letter case, since many disks do not tell such names apart. @throws FormatError */
export function checkNames(names: readonly string[]): void {
  const seen = new Set<string>()
  for (const name of names) {
    const plain = name.toLowerCase()
    if (seen.has(plain)) throw new FormatError(`Two files of the export would be called “${name}”. Give one of them another name.`)
    seen.add(plain)
  }
}
