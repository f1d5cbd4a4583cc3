import { formatHex } from 'culori'
import { readCssColour } from '#core/colour/read-colour'

/** Colours read from a text that was pasted, and what in it is no colour. */
export type ColourList = { colours: { name?: string; hex: string }[]; unread: string[] }

const HEX = /^[0-9a-f]{3}(?:[0-9a-f]{3})?$/i
const MOST = 60

/** Parts of a line, split at commas and white space outside brackets. */
const partsOf = (line: string): string[] => line.match(/[^\s,;()]+\([^)]*\)|[^\s,;]+/g) ?? []

/**
 * Reads colours from a text: hex with or without #, and every colour that CSS has, one or more to a line; a word and
 * a colon before one (`accent: #FFD36B`) is its name.
 */
export function readColourList(text: string): ColourList {
  const list: ColourList = { colours: [], unread: [] }
  for (const line of text.split(/\r?\n/)) {
    const named = /^\s*(?:--)?([a-z][\w -]*?)\s*[:=]\s*(.+)$/i.exec(line)
    const name = named?.[1]
      ?.trim()
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
    for (const part of partsOf(named ? named[2]! : line)) {
      const colour = readCssColour(HEX.test(part) ? `#${part}` : part)
      const hex = colour && formatHex(colour)
      if (hex && list.colours.length < MOST) list.colours.push({ ...(name ? { name } : {}), hex: hex.toUpperCase() })
      else list.unread.push(part)
    }
  }
  return list
}
