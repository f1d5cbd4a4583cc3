/** A colour of sRGB, each channel 0 to 255, and its opacity, 0 to 1. */
export type Rgba = { r: number; g: number; b: number; a: number }

/** A colour as the browser has computed it, `rgb()`, `rgba()` or `color(srgb …)`. */
export function readRgba(text: string): Rgba | undefined {
  const figures = /^(?:rgba?|color)\(\s*(srgb\s+)?([\d.e-]+)[,\s]+([\d.e-]+)[,\s]+([\d.e-]+)(?:\s*[,/]\s*([\d.e-]+))?\s*\)$/.exec(
    text,
  )
  if (!figures) return undefined
  const by = figures[1] === undefined ? 1 : 255
  const [r, g, b] = figures.slice(2, 5).map((one) => Number(one) * by)
  return { r: r!, g: g!, b: b!, a: figures[5] === undefined ? 1 : Number(figures[5]) }
}

/** A colour written #rrggbb, with an opacity. */
export function rgbaOf(hex: string, a = 1): Rgba {
  const [r, g, b] = [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16))
  return { r: r!, g: g!, b: b!, a }
}

/**
 * The two tones of a duotone as a page lays them, channel by channel: the darker and the lighter of two colours, in
 * whichever order they were given. Each keeps its opacity.
 */
export function orderedTones({ dark, light }: { dark: Rgba; light: Rgba }): { dark: Rgba; light: Rgba } {
  const by = (which: (a: number, b: number) => number, { a }: Rgba): Rgba => ({
    r: which(dark.r, light.r),
    g: which(dark.g, light.g),
    b: which(dark.b, light.b),
    a,
  })
  return { dark: by(Math.min, dark), light: by(Math.max, light) }
}
