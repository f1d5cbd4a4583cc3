/** Words of nobody’s site, for faces and kinds of button that are shown before there are words of their own. */
export const SAMPLE = {
  heading: 'Words to judge a face by',
  text: 'A line of ordinary words shows colour, rhythm and fit better than any alphabet does.',
  call: 'Main action',
  items: ['The first item of a list', 'A second one, somewhat longer', 'And a third'],
} as const
