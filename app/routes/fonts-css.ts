import { FAMILIES, fontFaceCss, fontFiles } from '#core/type/families'

/** The `@font-face` rules of all families, for the views. */
export function loader() {
  const css = FAMILIES.flatMap((family) => fontFiles(family)).map((file) => fontFaceCss(file, `/fonts/${file.name}`))
  return new Response(css.join('\n'), {
    headers: { 'Content-Type': 'text/css', 'Cache-Control': 'public, max-age=3600' },
  })
}
