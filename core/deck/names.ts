/** A name of a page or section without case, spaces and signs. */
export const plainName = (name: string): string => {
  const lower = name.toLowerCase()
  // A name of signs alone has nothing but them.
  return lower.replace(/[^\p{L}\p{N}]+/gu, '') || lower.trim()
}

/** True if two names of pages or sections are the same but for case, spaces and signs. */
export const sameName = (a: string, b: string): boolean => plainName(a) === plainName(b)
