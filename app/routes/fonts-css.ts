import { FAMILIES, fallbackCss, fontFaceCss, fontFiles } from '#core/type/families'

/** The `@font-face` rules of all families and their fallbacks, for the views. */
export function loader() {
  const files = FAMILIES.flatMap((family) => fontFiles(family))
  const css = [...files.map((file) => fontFaceCss(file, `/fonts/${file.name}`)), ...FAMILIES.map(fallbackCss)]
  return new Response(css.join('\n'), {
    headers: { 'Content-Type': 'text/css', 'Cache-Control': 'public, max-age=3600' },
  })
}
