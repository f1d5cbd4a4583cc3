/** A name of a page or section without case, spaces and signs. */
export const plainName = (name: string) => name.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '')

/** True if two names of pages or sections are the same but for case, spaces and signs. */
export const sameName = (a: string, b: string): boolean => plainName(a) === plainName(b)
