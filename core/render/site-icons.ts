import type { Properties } from 'hast'
import { isFilm } from '#core/picture/picture'
import { familyOf } from '#core/type/families'
import type { Site } from '#core/site/schema'

/** The file of a site's icon as a drawing, and those of pixels: the name of each and its side, px. */
export const ICON_SVG = 'icon.svg'
export const ICON_FILES = [
  { file: 'favicon.ico', side: 32 },
  { file: 'apple-touch-icon.png', side: 180 },
  { file: 'icon-192.png', side: 192 },
  { file: 'icon-512.png', side: 512 },
] as const
export const MANIFEST = 'site.webmanifest'

/** The colour of a role of a site, as CSS; black where there is no such role. */
export const colourOfRole = ({ guide }: Pick<Site, 'guide'>, role: string): string =>
  guide.colours.find((one) => one.role === role)?.hex ?? '#000000'

/** What the icon of a site is made of: a letter and its colours, or a picture; nothing where none is chosen, or it is gone. */
export type IconDrawn =
  | { letter: string; ground: string; ink: string; family: string; weight: number }
  | { picture: Site['pictures'][number] }

export function iconOf(site: Pick<Site, 'launch' | 'guide' | 'pictures' | 'fonts'>): IconDrawn | undefined {
  const icon = site.launch?.icon
  if (!icon) return undefined
  if ('picture' in icon) {
    const picture = site.pictures.find((one) => one.id === icon.picture && !isFilm(one))
    return picture && { picture }
  }
  const face = site.guide.faces.find((one) => one.name === 'heading') ?? site.guide.faces[0]
  const family = face && familyOf(face.family, site.fonts) ? face.family : ''
  const weight = site.guide.types.find((one) => one.face === face?.name)?.weight ?? 700
  return { letter: icon.letter, ground: colourOfRole(site, icon.ground), ink: colourOfRole(site, icon.ink), family, weight }
}

/** True for an icon that is a drawing at any size. */
export const isDrawing = (icon: IconDrawn): boolean => !('picture' in icon) || icon.picture.type === 'image/svg+xml'

/** The links of a page's head to the icons of its site. */
export const iconLinks = (icon: IconDrawn): Properties[] => [
  { rel: ['icon'], href: 'favicon.ico', sizes: '32x32' },
  ...(isDrawing(icon) ? [{ rel: ['icon'], href: ICON_SVG, type: 'image/svg+xml' }] : []),
  { rel: ['apple-touch-icon'], href: 'apple-touch-icon.png' },
  { rel: ['manifest'], href: MANIFEST },
]

/** Names of the files that an icon becomes, but for the manifest. */
export const iconNames = (icon: IconDrawn): string[] => [
  ...(isDrawing(icon) ? [ICON_SVG] : []),
  ...ICON_FILES.map((one) => one.file),
]
