import type { Icon } from '#core/values/icon'

/** Attributes of an SVG as text; a value holds letters, figures, blanks, points and commas only. */
const attributes = (values: Record<string, string | number | undefined>) =>
  Object.entries(values)
    .map(([name, value]) => ` ${name}='${String(value)}'`)
    .join('')

/** What a URL of an SVG must not hold as it is. */
export const svgUrl = (svg: string): string => `url("data:image/svg+xml,${svg.replace(/[%#"<>]/g, encodeURIComponent)}")`

/** The shapes of an icon as the URL of a picture, on their field of 24 by 24. */
export function shapeUrl({ nodes }: Icon, drawn: Record<string, string | number>): string {
  const shapes = nodes.map(([tag, values]) => `<${tag}${attributes(values)}/>`).join('')
  return svgUrl(`<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 24 24'${attributes(drawn)}>${shapes}</svg>`)
}
