/** What is said of a Word document that would take too long to read. */
export const tooMuch = (name: string): string =>
  `“${name}” has more in it than can be read as a copy document. Take the pages that you need into a shorter one.`
