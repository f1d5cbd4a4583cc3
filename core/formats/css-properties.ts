import { parse, walk, generate } from 'css-tree'
import type { Site } from '#core/site/schema'
import { tokenDeclarations } from '#core/render/guide-rules'
import { parseLength } from '#core/style/length-text'
import type { StyleGuide } from '#core/guide/style-guide'
import { nameSchema } from '#core/values/name'
import { readColourList } from './colour-list'
import { FormatError } from './site-json'

/** The style guide's tokens as CSS custom properties of the root. */
export const cssProperties = (site: Site): string =>
  `:root {\n${tokenDeclarations(site)
    .map(([name, value]) => `  ${name}: ${value};\n`)
    .join('')}}\n`

/** What a stylesheet's custom properties change in a style guide, and the properties that it has no place for. */
export type ReadProperties = { guide: StyleGuide; changed: string[]; unread: string[] }

/** Puts a value in place of the one of the same name, or last. */
export function putNamed<T>(list: readonly T[], key: keyof T, item: T): T[] {
  const at = list.findIndex((one) => one[key] === item[key])
  return at < 0 ? [...list, item] : list.map((one, i) => (i === at ? item : one))
}

/**
 * Reads custom properties: a colour becomes a role, a length whose name is a space or a corner changes that.
 * @throws FormatError if the text is no CSS, or has no custom properties
 */
export function readCssProperties(text: string, guide: StyleGuide): ReadProperties {
  let broken: string | undefined
  const found: [string, string][] = []
  const tree = parse(text, { onParseError: (error) => (broken ??= error.message), parseCustomProperty: false })
  walk(tree, (node) => {
    if (node.type === 'Declaration' && node.property.startsWith('--'))
      found.push([node.property.slice(2), generate(node.value).trim()])
  })
  if (found.length === 0)
    throw new FormatError(
      broken
        ? `This is no CSS that can be read: ${broken}.`
        : 'There are no custom properties in this text, such as --accent: #FFD36B.',
    )
  const result: ReadProperties = { guide, changed: [], unread: [] }
  for (const [name, value] of found) {
    const [colour] = readColourList(value).colours
    const length = parseLength(value, [])
    const list = guide.corners.some((one) => one.name === name) || /^(corner|radius)/.test(name) ? 'corners' : 'spaces'
    if (!nameSchema.safeParse(name).success) result.unread.push(name)
    else if (colour) {
      const before = result.guide.colours.find((one) => one.role === name)
      result.guide = {
        ...result.guide,
        colours: putNamed(result.guide.colours, 'role', { ...before, role: name, hex: colour.hex }),
      }
      result.changed.push(name)
    } else if (length && (list === 'corners' || /^space/.test(name) || guide.spaces.some((one) => one.name === name))) {
      result.guide = { ...result.guide, [list]: putNamed(result.guide[list], 'name', { name, size: length }) }
      result.changed.push(name)
    } else result.unread.push(name)
  }
  return result
}
