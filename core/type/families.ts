import type { OwnFont } from './own-font'
import { fallbackFaceCss } from './fallback'
import { type FontMetrics, metricsOf, STANDINS } from './metrics'

/**
 * A family of typefaces: one that ships with the application, open-licensed and variable in weight, or one of the
 * site's own.
 */
export type Family = {
  id: string
  name: string
  class: 'serif' | 'sans' | 'slab' | 'mono' | 'display'
  /** Weight axis, lightest and heaviest. */
  weights: readonly [number, number]
  italic: boolean
  /** The file that was uploaded, of a family of the site's own. */
  own?: OwnFont
}

const family = (id: string, name: string, kind: Family['class'], weights: readonly [number, number], italic = true): Family => ({
  id,
  name,
  class: kind,
  weights,
  italic,
})

export const FAMILIES: readonly Family[] = [
  family('albert-sans', 'Albert Sans', 'sans', [100, 900]),
  family('aleo', 'Aleo', 'slab', [100, 900]),
  family('archivo', 'Archivo', 'sans', [100, 900]),
  family('bitter', 'Bitter', 'slab', [100, 900]),
  family('bricolage-grotesque', 'Bricolage Grotesque', 'sans', [200, 800], false),
  family('caveat', 'Caveat', 'display', [400, 700], false),
  family('cormorant', 'Cormorant', 'serif', [300, 700]),
  family('crimson-pro', 'Crimson Pro', 'serif', [200, 900]),
  family('dm-sans', 'DM Sans', 'sans', [100, 1000]),
  family('eb-garamond', 'EB Garamond', 'serif', [400, 800]),
  family('epilogue', 'Epilogue', 'sans', [100, 900]),
  family('figtree', 'Figtree', 'sans', [300, 900]),
  family('fraunces', 'Fraunces', 'serif', [100, 900]),
  family('hanken-grotesk', 'Hanken Grotesk', 'sans', [100, 900]),
  family('hepta-slab', 'Hepta Slab', 'slab', [1, 900], false),
  family('instrument-sans', 'Instrument Sans', 'sans', [400, 700]),
  family('inter', 'Inter', 'sans', [100, 900]),
  family('jetbrains-mono', 'JetBrains Mono', 'mono', [100, 800]),
  family('karla', 'Karla', 'sans', [200, 800]),
  family('libre-franklin', 'Libre Franklin', 'sans', [100, 900]),
  family('literata', 'Literata', 'serif', [200, 900]),
  family('lora', 'Lora', 'serif', [400, 700]),
  family('manrope', 'Manrope', 'sans', [200, 800], false),
  family('newsreader', 'Newsreader', 'serif', [200, 800]),
  family('nunito', 'Nunito', 'sans', [200, 1000]),
  family('oswald', 'Oswald', 'display', [200, 700], false),
  family('outfit', 'Outfit', 'sans', [100, 900], false),
  family('petrona', 'Petrona', 'serif', [100, 900]),
  family('piazzolla', 'Piazzolla', 'serif', [100, 900]),
  family('playfair-display', 'Playfair Display', 'serif', [400, 900]),
  family('plus-jakarta-sans', 'Plus Jakarta Sans', 'sans', [200, 800]),
  family('public-sans', 'Public Sans', 'sans', [100, 900]),
  family('roboto-serif', 'Roboto Serif', 'serif', [100, 900]),
  family('roboto-slab', 'Roboto Slab', 'slab', [100, 900], false),
  family('rubik', 'Rubik', 'sans', [300, 900]),
  family('schibsted-grotesk', 'Schibsted Grotesk', 'sans', [400, 900]),
  family('sora', 'Sora', 'sans', [100, 800], false),
  family('source-code-pro', 'Source Code Pro', 'mono', [200, 900]),
  family('source-serif-4', 'Source Serif 4', 'serif', [200, 900]),
  family('space-grotesk', 'Space Grotesk', 'sans', [300, 700], false),
  family('vollkorn', 'Vollkorn', 'serif', [400, 900]),
  family('work-sans', 'Work Sans', 'sans', [100, 900]),
]

const GENERIC: Record<Family['class'], string> = {
  serif: 'serif',
  slab: 'serif',
  sans: 'sans-serif',
  mono: 'monospace',
  display: 'sans-serif',
}

/** The id that a face names a font of the site's own by. */
export const ownFamilyId = (font: Pick<OwnFont, 'id'>): string => `own-${font.id}`

const asFamily = (font: OwnFont): Family => ({
  id: ownFamilyId(font),
  name: font.name,
  class: font.class,
  weights: font.weights,
  italic: font.italic,
  own: font,
})

/** The families that a site may use: its own first. */
export const familiesOf = (fonts: readonly OwnFont[] = []): readonly Family[] =>
  fonts.length === 0 ? FAMILIES : [...fonts.map(asFamily), ...FAMILIES]

export const familyOf = (id: string, fonts: readonly OwnFont[] = []): Family | undefined =>
  familiesOf(fonts).find((one) => one.id === id)

/** Measures of a family, whoever's it is. */
export const measuresOf = (of: Family): FontMetrics => of.own?.metrics ?? metricsOf(of.id)

const fallbackName = (of: Family): string => `${of.name} fallback`

/**
 * The `font-family` list: the family, a fallback of the same measures that stands in until it arrives, and the
 * generic class. An unknown family is the system's sans.
 */
export function fontStack(id: string, fonts: readonly OwnFont[] = []): string {
  const found = familyOf(id, fonts)
  return found ? `"${found.name}", "${fallbackName(found)}", ${GENERIC[found.class]}` : 'system-ui, sans-serif'
}

/** The `@font-face` of a family's fallback. */
export const fallbackCss = (of: Family): string => fallbackFaceCss(fallbackName(of), measuresOf(of), STANDINS[of.class])

/** Parts that the font files are cut into, and the characters of each (CSS `unicode-range`, as the files were cut). */
export const SUBSETS = {
  latin:
    'U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD',
  'latin-ext':
    'U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF',
} as const
export type Subset = keyof typeof SUBSETS

export type FontFile = { family: Family; subset: Subset; italic: boolean; name: string }

/** Every file of a family. */
export function fontFiles(of: Family): FontFile[] {
  const { own } = of
  if (own) return [{ family: of, subset: 'latin', italic: own.italic, name: `${own.hash}.woff2` }]
  const slopes = of.italic ? [false, true] : [false]
  return slopes.flatMap((italic) =>
    (Object.keys(SUBSETS) as Subset[]).map((subset) => ({
      family: of,
      subset,
      italic,
      name: `${of.id}-${subset}-wght-${italic ? 'italic' : 'normal'}.woff2`,
    })),
  )
}

/** The `@font-face` rule of a file at a URL; one that is `alone` for its family and slope needs no range of characters. */
export function fontFaceCss({ family: of, subset, italic }: FontFile, url: string, alone = of.own !== undefined): string {
  const [low, high] = of.weights
  return `@font-face {
  font-family: "${of.name}";
  font-style: ${italic ? 'italic' : 'normal'};
  font-weight: ${low === high ? low : `${low} ${high}`};
  font-display: swap;
  src: url("${url}") format("woff2");${alone ? '' : `\n  unicode-range: ${SUBSETS[subset]};`}
}
`
}

/** Matches any character of the subset. */
function subsetPattern(subset: Subset): RegExp {
  const ranges = SUBSETS[subset].split(',').map((part) =>
    part
      .slice(2)
      .split('-')
      .map((hex) => `\\u{${hex}}`),
  )
  return new RegExp(`[${ranges.map((range) => range.join('-')).join('')}]`, 'u')
}

const EXTENDED = subsetPattern('latin-ext')

/** True if any character of the text is in the subset. Every page needs Latin. */
export function needsSubset(subset: Subset, text: string): boolean {
  return subset === 'latin' || EXTENDED.test(text)
}
