import type { Stress } from './stress'

/** Colours of a system whose user has white on black: what Chromium takes where it is asked to show a page so. */
const [CANVAS, TEXT, LINK, GREY] = ['#000', '#fff', '#ff0', '#3ff23f']

/** Values that name no colour of their own. */
const WITHOUT = /^(none|inherit|initial|unset|revert|revert-layer)$/

/** What is left of a value besides its images. */
function withoutImages(value: string): string {
  const words: string[] = ['']
  let depth = 0
  for (const letter of value) {
    if (letter === '(') depth++
    if (letter === ')') depth--
    if (depth === 0 && (letter === ' ' || letter === ',')) words.push('')
    else words[words.length - 1] += letter
  }
  return words
    .filter((one) => !/^url\(|gradient\(/.test(one))
    .join(' ')
    .trim()
}

/** A ground keeps how solid it is, and takes the colour of the system. */
const ground = (colour: string) => `rgb(from ${colour} 0 0 0/alpha)`

function forced(whole: string, name: string, value: string): string {
  const hasUrl = value.includes('url(')
  // Gradients go; a list in which a file stands is kept as it is.
  if (name === 'background-image') return hasUrl ? whole : 'background-image:none'
  if (WITHOUT.test(value)) return whole
  if (!/gradient\(|url\(/.test(value)) return `${name}:${ground(value)}`
  const colour = withoutImages(value)
  const under = colour === '' ? '' : `;background-color:${ground(colour)}`
  return hasUrl ? `${whole}${under}` : `background:none${under}`
}

/**
 * A stylesheet as it holds where colours are forced (CSS Color Adjustment 1, 3.1, and as Chromium does it): grounds keep how
 * solid they are, gradients go, pictures stay.
 */
export const asForced = (css: string): string =>
  css.replace(/(?<=[{;])(background(?:-color|-image)?):([^;{}]+)/g, (whole, name: string, value: string) =>
    forced(whole, name, value.trim()),
  )

/** What holds of all elements, and of what is pressed. Drawings keep their colours, and take that of the words around them where they have none. */
const ALL = `*:not(svg,svg *),*::before,*::after{color:${TEXT}!important}
*,*::before,*::after{border-color:currentcolor!important;outline-color:currentcolor!important;box-shadow:none!important;text-shadow:none!important;accent-color:auto!important}
${[':any-link', 'details>summary:first-of-type'].map((one) => `${one},${one} :not(svg,svg *),${one}::before,${one}::after`).join()}{color:${LINK}!important}
:disabled{color:${GREY}!important}
html{background:${CANVAS}!important;color:${TEXT}}`

/** Colours as high contrast forces them. */
export const forcedColours = {
  label: 'Forced colours',
  note: 'white on black, as Chromium forces it where the system asks for high contrast',
  css: ALL,
  restyle: asForced,
} satisfies Stress
