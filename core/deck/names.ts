const plain = (name: string) => name.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '')

/** True if two names of pages or sections are the same but for case, spaces and signs. */
export const sameName = (a: string, b: string): boolean => plain(a) === plain(b)
