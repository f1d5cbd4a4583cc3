import type { FontMetrics } from './metrics'

/** A font that nearly every machine has, to stand in until the real one has arrived. All values in em. */
export type Standin = FontMetrics & { name: string }

const percent = (value: number) => `${Number((value * 100).toFixed(2))}%`

/**
 * The `@font-face` of a fallback that takes up the same room as the real face, so that text does not jump when the
 * font arrives (CSS Fonts 5, 4): it is scaled to the same average advance, and its ascent, descent and line gap are
 * those of the real face, divided by that scale, since the browser multiplies them by it again.
 */
export function fallbackFaceCss(name: string, real: FontMetrics, standin: Standin): string {
  const scale = real.averageAdvance / standin.averageAdvance
  return `@font-face {
  font-family: "${name}";
  src: local("${standin.name}");
  size-adjust: ${percent(scale)};
  ascent-override: ${percent(real.ascent / scale)};
  descent-override: ${percent(real.descent / scale)};
  line-gap-override: ${percent(real.lineGap / scale)};
}
`
}
