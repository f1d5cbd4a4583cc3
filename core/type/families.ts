/** A family of typefaces that ships with the application. All are open-licensed (SIL OFL 1.1) and variable in weight. */
export type Family = {
  id: string
  name: string
  class: 'serif' | 'sans' | 'slab' | 'mono'
  /** Weight axis, lightest and heaviest. */
  weights: readonly [number, number]
  italic: boolean
}

const family = (id: string, name: string, kind: Family['class'], weights: readonly [number, number], italic = true): Family => ({
  id,
  name,
  class: kind,
  weights,
  italic,
})

export const FAMILIES: readonly Family[] = [
  family('archivo', 'Archivo', 'sans', [100, 900]),
  family('bitter', 'Bitter', 'slab', [100, 900]),
  family('figtree', 'Figtree', 'sans', [300, 900]),
  family('fraunces', 'Fraunces', 'serif', [100, 900]),
  family('instrument-sans', 'Instrument Sans', 'sans', [400, 700]),
  family('lora', 'Lora', 'serif', [400, 700]),
  family('newsreader', 'Newsreader', 'serif', [200, 800]),
  family('public-sans', 'Public Sans', 'sans', [100, 900]),
  family('source-serif-4', 'Source Serif 4', 'serif', [200, 900]),
  family('space-grotesk', 'Space Grotesk', 'sans', [300, 700], false),
  family('work-sans', 'Work Sans', 'sans', [100, 900]),
]

const GENERIC = {
  serif: 'Georgia, serif',
  slab: 'Georgia, serif',
  sans: 'system-ui, sans-serif',
  mono: 'ui-monospace, monospace',
}

export const familyOf = (id: string): Family | undefined => FAMILIES.find((one) => one.id === id)

/** The `font-family` list: the family, then what stands in until it arrives. An unknown family is the system's sans. */
export function fontStack(id: string): string {
  const found = familyOf(id)
  return found ? `"${found.name}", ${GENERIC[found.class]}` : GENERIC.sans
}

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
export function fontFaceCss(file: FontFile, url: string, alone = false): string {
  const [low, high] = file.family.weights
  return `@font-face {
  font-family: "${file.family.name}";
  font-style: ${file.italic ? 'italic' : 'normal'};
  font-weight: ${low} ${high};
  font-display: swap;
  src: url("${url}") format("woff2");${alone ? '' : `\n  unicode-range: ${SUBSETS[file.subset]};`}
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
