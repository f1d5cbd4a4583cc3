import { fontsCss } from '#core/type/fonts-css'

/** The `@font-face` rules of all families and their fallbacks, for the views. */
export function loader() {
  return new Response(fontsCss(), {
    headers: { 'Content-Type': 'text/css', 'Cache-Control': 'public, max-age=3600' },
  })
}
