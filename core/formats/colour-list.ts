import { formatHex } from 'culori'
import { readCssColour } from '#core/colour/read-colour'

/** Colours read from a text that was pasted, and what in it is no colour. */
export type ColourList = { colours: { name?: string; hex: string }[]; unread: string[] }

const HEX = /^[0-9a-f]{3}(?:[0-9a-f]{3})?$/i
const MOST = 60

/** Parts of a line, split at commas and white space outside brackets. */
function partsOf(line: string): string[] {
  const parts = ['']
  let depth = 0
  for (const sign of line) {
    if (sign === '(') depth++
    else if (sign === ')') depth = Math.max(0, depth - 1)
    if (depth === 0 && /[\s,;]/.test(sign)) parts.push('')
    else parts[parts.length - 1] += sign
  }
  return parts.filter((part) => part !== '')
}

/** What stands before the first colon or equals sign of a line, if it is a name, and what stands after. */
function namedIn(line: string): { name?: string; rest: string } {
  const at = line.search(/[:=]/)
  const name = line.slice(0, Math.max(0, at)).trim()
  const rest = line.slice(at + 1).trim()
  return /^(?:--)?[a-z][\w -]*$/i.test(name) && rest !== '' ? { name: name.replace(/^--/, ''), rest } : { rest: line }
}

/**
 * Reads colours from a text: hex with or without #, and every colour that CSS has, one or more to a line; a word and
 * a colon before one (`accent: #FFD36B`) is its name.
 */
export function readColourList(text: string): ColourList {
  const list: ColourList = { colours: [], unread: [] }
  for (const line of text.split(/\r?\n/)) {
    const { name: before, rest } = namedIn(line)
    const name = before
      ?.toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
    for (const part of partsOf(rest)) {
      const colour = readCssColour(HEX.test(part) ? `#${part}` : part)
      const hex = colour && formatHex(colour)
      if (hex && list.colours.length < MOST) list.colours.push({ ...(name ? { name } : {}), hex: hex.toUpperCase() })
      else list.unread.push(part)
    }
  }
  return list
}
