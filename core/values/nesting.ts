/** How deep objects and lists are nested in a JSON text; found before it is parsed, so that no depth can exhaust the stack. */
export function nestingOf(text: string): number {
  let depth = 0
  let deepest = 0
  let inString = false
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i)
    if (inString) {
      if (code === 92) i++
      else if (code === 34) inString = false
    } else if (code === 34) inString = true
    else if (code === 123 || code === 91) deepest = Math.max(deepest, ++depth)
    else if (code === 125 || code === 93) depth--
  }
  return deepest
}
