/** A text on one line: each break, with the white space about it, becomes what is given. */
export const oneLine = (text: string, between = ' '): string =>
  text.replace(/\s+/g, (space) => (space.includes('\n') ? between : space))
