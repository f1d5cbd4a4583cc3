const SPACE = '[ \\t\\n\\u00a0\\u202f\\u2009]'
/** Of so many figures at most, so that a text of nothing else takes no longer than it is long. */
const AMOUNT = `(?<!\\d)\\d[\\d.,’']{0,14}(?:${SPACE}\\d{3}(?!\\d)){0,4}`
const TERM =
  '(?:%|°|px|km|cm|mm|kg|min|hours?|nights?|days?|weeks?|months?|years?|people|guests|Stunden|Tage|Wochen|Monate|Jahre|heures|nuits|jours|mois|ans)'

/** Prices before or after their sign, amounts with what they count, and telephone numbers of seven figures or more. */
export const FIGURE = new RegExp(
  [
    `(?:[£$€¥]|CHF|EUR|USD|GBP)${SPACE}?${AMOUNT}`,
    `${AMOUNT}${SPACE}?(?:[£$€¥]|CHF|EUR|USD|GBP)`,
    `${AMOUNT}${SPACE}${TERM}(?!\\p{L})`,
    `\\+?\\(?\\d(?:[ \\u00a0\\u202f()/-]{0,2}\\d){6,14}`,
  ].join('|'),
  'gu',
)

/** A figure that no line ends in: with spaces and hyphens that do not break (U+00A0, U+2011). */
export const held = (text: string): string =>
  text.replace(FIGURE, (figure) => figure.replaceAll(/[ \t\n]/g, '\u00a0').replaceAll('-', '\u2011'))
