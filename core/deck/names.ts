const names = new Map<string, string>()

/** A name of a page or section without case, spaces and signs; one of signs alone has nothing but them. */
export function plainName(name: string): string {
  let plain = names.get(name)
  if (plain === undefined) {
    // Names are compared at every key press; the memory is emptied before it can grow without end.
    if (names.size > 5000) names.clear()
    const lower = name.toLowerCase()
    names.set(name, (plain = lower.replace(/[^\p{L}\p{N}]+/gu, '') || lower.trim()))
  }
  return plain
}

/** True if two names of pages or sections are the same but for case, spaces and signs. */
export const sameName = (a: string, b: string): boolean => plainName(a) === plainName(b)
