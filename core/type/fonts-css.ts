import { FAMILIES, fallbackCss, fontFaceCss, fontFiles } from './families'

/** The `@font-face` rules of all families that ship, and of their fallbacks, for the views. */
export function fontsCss(): string {
  const files = FAMILIES.flatMap((family) => fontFiles(family))
  return [...files.map((file) => fontFaceCss(file, `/fonts/${file.name}`)), ...FAMILIES.map(fallbackCss)].join('\n')
}
