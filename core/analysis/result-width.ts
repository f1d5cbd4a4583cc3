/** Where results of search cut off: px of a title at 20 px, and of a description at 14 px, on wide windows. */
export const RESULT = { title: { size: 20, room: 600 }, description: { size: 14, room: 920 } } as const

/**
 * Advances of the printable signs of ASCII from the space on, thousandths of the size: Helvetica, out of the core font
 * metrics of Adobe (AFM 4.1); Arial and Liberation Sans, which results are set in, have the same.
 */
const ADVANCES =
  '278 278 355 556 556 889 667 191 333 333 389 584 278 333 278 278 556 556 556 556 556 556 556 556 556 556 278 278 584 584 584 556 1015 667 667 722 722 667 611 778 722 278 500 667 556 833 722 778 667 778 722 667 611 722 667 944 667 667 611 278 278 278 469 556 333 556 556 500 556 556 278 556 556 222 222 500 222 833 556 556 556 556 333 500 278 556 500 722 500 500 500 334 260 334 584'
    .split(' ')
    .map(Number)
/** Those of signs of text beyond ASCII. */
const OTHERS: Record<string, number> = {
  '’': 222,
  '‘': 222,
  '“': 333,
  '”': 333,
  '–': 556,
  '—': 1000,
  '…': 1000,
  '·': 278,
  '•': 350,
}
/** That of letters that no table here has: about an em for the wide scripts of East Asia, else a mean letter. */
const isWide = (sign: string) => /[\u1100-\u11ff\u2e80-\ud7ff\uf900-\ufaff\uff00-\uff60]/.test(sign)

/** Width of a text as results of search set it, px. @param size of the letters, px */
export function resultWidth(text: string, size: number): number {
  let sum = 0
  for (const sign of text.normalize('NFD')) {
    if (/\p{M}/u.test(sign)) continue
    sum += ADVANCES[sign.codePointAt(0)! - 32] ?? OTHERS[sign] ?? (isWide(sign) ? 1000 : 556)
  }
  return (sum * size) / 1000
}

/** A text as a result shows it: whole where it fits, else cut after a word, with an ellipsis. */
export function asResult(text: string, { size, room }: { size: number; room: number }): { shown: string; isCut: boolean } {
  if (resultWidth(text, size) <= room) return { shown: text, isCut: false }
  const words = text.split(/(?<=\s)/)
  let shown = ''
  for (const word of words) {
    if (resultWidth(`${shown}${word.trimEnd()} …`, size) > room) break
    shown += word
  }
  return { shown: `${shown.trimEnd()} …`, isCut: true }
}
