import { isSame } from '#core/values/equal'
import { formatHex } from 'culori'
import { readCssColour } from '#core/colour/read-colour'
import type { Site } from '#core/site/schema'
import { type StyleGuide, styleGuideSchema, type TypeRole } from '#core/guide/style-guide'
import { layersOf } from '#core/guide/shadows'
import { hexOf } from '#core/colour/contrast'
import type { ShadowLayer } from '#core/style/light'
import { type Length } from '#core/values/length'
import { isObject } from '#core/values/object'
import { isFreeKey } from '#core/values/ids'
import { nameSchema } from '#core/values/name'
import { FAMILIES, familyOf } from '#core/type/families'
import { leadingOf, sizeOf } from '#core/guide/type-roles'
import { pxAt } from '#core/type/measure'
import { putNamed } from './css-properties'

/** A token file that cannot be taken in. The message says which token, and what is wrong with it. */
export class TokensError extends Error {
  override name = 'TokensError'
}

/** Under this name a token carries what the format itself has no words for, so that nothing is lost on the way back. */
export const OURS = 'example.yarrowfinch'

type Token = { $value: unknown; $type?: string; $description?: string; $extensions?: Record<string, unknown> }
export type Json = Record<string, unknown>

const round = (value: number) => Math.round(value * 10_000) / 10_000
const dimension = (px: number) => ({ value: round(px), unit: 'px' })

/** The width that sizes which grow are written at, px: the format has no sizes of two widths. */
const WIDE = 1360

const colourValue = (hex: string, alpha = 1) => ({
  colorSpace: 'srgb',
  components: [1, 3, 5].map((at) => round(Number.parseInt(hex.slice(at, at + 2), 16) / 255)),
  ...(alpha === 1 ? {} : { alpha }),
  hex: hex.toLowerCase(),
})

const token = (value: unknown, ours?: unknown): Token => ({
  $value: value,
  ...(ours === undefined ? {} : { $extensions: { [OURS]: ours } }),
})

const lengthToken = (length: Length): Token => {
  if ('value' in length && (length.unit === 'px' || length.unit === 'rem')) return token({ value: length.value, unit: length.unit })
  return token(dimension(pxAt(length, WIDE) ?? 0), length)
}

function typeToken(guide: StyleGuide, type: TypeRole): Token {
  const px = pxAt(sizeOf(guide, type), WIDE) ?? 16
  return token(
    {
      fontFamily: `{face.${type.face}}`,
      fontSize: dimension(px),
      fontWeight: type.weight,
      letterSpacing: dimension(type.tracking * px),
      lineHeight: round(leadingOf(guide, type, px)),
    },
    type,
  )
}

const shadowValue = (layers: readonly ShadowLayer[], guide: StyleGuide) =>
  layers.map(({ x, y, blur, spread, colour }) => ({
    color: colourValue(hexOf(colour, guide.colours) ?? '#000000', colour.alpha),
    offsetX: dimension(x),
    offsetY: dimension(y),
    blur: dimension(blur),
    spread: dimension(spread),
  }))

const group = (type: string, tokens: [string, Token][]): Json => ({ $type: type, ...Object.fromEntries(tokens) })

/** A style guide in the JSON format of the Design Tokens Community Group (2025.10). */
export function designTokens({ guide }: Pick<Site, 'guide'>): Json {
  const { colours, faces, types, spaces, corners, shadows, ...rest } = guide
  return {
    color: group(
      'color',
      colours.map(({ role, hex, only }) => [role, token(colourValue(hex), only && { only })]),
    ),
    face: group(
      'fontFamily',
      faces.map(({ name, family }) => [name, token([familyOf(family)?.name ?? family], { family })]),
    ),
    type: group(
      'typography',
      types.map((type) => [type.role, typeToken(guide, type)]),
    ),
    space: group(
      'dimension',
      spaces.map(({ name, size }) => [name, lengthToken(size)]),
    ),
    corner: group(
      'dimension',
      corners.map(({ name, size }) => [name, lengthToken(size)]),
    ),
    shadow: group(
      'shadow',
      shadows.map((one) => [one.name, token(shadowValue(layersOf(guide, one), guide), one)]),
    ),
    $extensions: { [OURS]: rest },
  }
}

export type Flat = { path: string; token: Token; type: string | undefined }

/** Every token of a file by its path, with the type that it has or takes from the groups around it. */
export function flatten(value: Json, path: string[], type: string | undefined, into: Flat[]): Flat[] {
  const own = typeof value.$type === 'string' ? value.$type : type
  if ('$value' in value) {
    into.push({ path: path.join('.'), token: value as Token, type: own })
    return into
  }
  for (const [name, child] of Object.entries(value))
    if (!name.startsWith('$') && isObject(child)) flatten(child, [...path, name], own, into)
  return into
}

/** True for a file that Yarrowfinch wrote, which carries what the format has no words for. */
export const isOwnTokens = (text: string): boolean => text.includes(`"${OURS}"`)

const ALIAS = /^\{([^{}]+)\}$/
export const KNOWN = ['color', 'dimension', 'fontFamily', 'fontWeight', 'number', 'typography', 'shadow'] as const

/** Follows aliases to the value that they stand for. */
export function resolver(flat: readonly Flat[]) {
  const byPath = new Map(flat.map((one) => [one.path, one]))
  const resolve = (value: unknown, seen: readonly string[]): unknown => {
    const alias = typeof value === 'string' ? ALIAS.exec(value)?.[1] : undefined
    if (alias === undefined) {
      if (Array.isArray(value)) return value.map((one) => resolve(one, seen))
      if (isObject(value)) return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, resolve(one, seen)]))
      return value
    }
    if (seen.includes(alias))
      throw new TokensError(`The tokens “${[...seen, alias].join('” → “')}” stand for each other in a loop.`)
    const target = byPath.get(alias)
    if (!target) throw new TokensError(`“${seen.at(-1)}” stands for “${alias}”, which is not in the file.`)
    return resolve(target.token.$value, [...seen, alias])
  }
  return resolve
}

export const typeOfAlias = (one: Flat, flat: readonly Flat[], depth = 0): string | undefined => {
  const alias = typeof one.token.$value === 'string' ? ALIAS.exec(one.token.$value)?.[1] : undefined
  const target = alias === undefined || depth > 50 ? undefined : flat.find((other) => other.path === alias)
  return one.type ?? (target && typeOfAlias(target, flat, depth + 1))
}

function readColour(value: unknown, path: string): { hex: string; alpha: number } {
  if (typeof value === 'string') {
    const colour = readCssColour(value)
    if (colour) return { hex: formatHex(colour).toUpperCase(), alpha: colour.alpha ?? 1 }
  } else if (isObject(value) && Array.isArray(value.components)) {
    const [a, b, c] = value.components.map((one) => (one === 'none' ? 0 : Number(one)))
    const space = { srgb: 'srgb', 'display-p3': 'display-p3', oklch: 'oklch', oklab: 'oklab', hsl: 'hsl' }[String(value.colorSpace)]
    const text =
      space === 'hsl'
        ? `hsl(${a} ${b}% ${c}%)`
        : space === 'oklch' || space === 'oklab'
          ? `${space}(${a} ${b} ${c})`
          : `color(${space} ${a} ${b} ${c})`
    const colour = space && [a, b, c].every((one) => Number.isFinite(one)) ? readCssColour(text) : undefined
    if (colour) return { hex: formatHex(colour).toUpperCase(), alpha: Number(value.alpha ?? 1) }
  }
  throw new TokensError(`“${path}” is no colour that can be read.`)
}

function readDimension(value: unknown, path: string): { value: number; unit: 'px' | 'rem' } {
  if (isObject(value) && typeof value.value === 'number' && (value.unit === 'px' || value.unit === 'rem'))
    return { value: value.value, unit: value.unit }
  const text = typeof value === 'string' ? /^(-?[\d.]+)(px|rem)$/.exec(value) : null
  if (text) return { value: Number(text[1]), unit: text[2] as 'px' }
  throw new TokensError(`“${path}” is no dimension in px or rem.`)
}

const familyNamed = (value: unknown): string | undefined => {
  const names = (Array.isArray(value) ? value : [value]).map((one) => String(one).toLowerCase())
  return FAMILIES.find((one) => names.includes(one.name.toLowerCase()) || names.includes(one.id))?.id
}

function readShadow(value: unknown, path: string): ShadowLayer[] {
  return (Array.isArray(value) ? value : [value]).map((layer) => {
    if (!isObject(layer)) throw new TokensError(`“${path}” is no shadow.`)
    const px = (name: string) => {
      const { value: n, unit } = readDimension(layer[name] ?? { value: 0, unit: 'px' }, `${path}, ${name}`)
      return unit === 'rem' ? n * 16 : n
    }
    const { hex, alpha } = readColour(layer.color, `${path}, color`)
    return { x: px('offsetX'), y: px('offsetY'), blur: Math.max(0, px('blur')), spread: px('spread'), colour: { hex, alpha } }
  })
}

/** The name that a token has in a style guide: its path without the group that says only what kind it is. */
export function nameIn(path: string): string {
  const parts = path.split('.')
  const short =
    parts.length > 1 && /^(colou?rs?|faces?|fonts?|types?|typography|spac\w*|corners?|radi\w*|shadows?|sizes?)$/i.test(parts[0]!)
      ? parts.slice(1)
      : parts
  const name = short
    .join('-')
    .replace(/([a-z0-9])([A-Z])/g, '$1-$2')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
  const safe = name === '' ? 'token' : /^[a-z]/.test(name) && isFreeKey(name) ? name : `t-${name}`
  return nameSchema.parse(safe.slice(0, 40).replace(/-$/, ''))
}

/** A style guide with the tokens of a file put in, and the names of those that were. */
export type ReadTokens = { guide: StyleGuide; changed: string[] }

/**
 * Puts the tokens of a file into a style guide. Tokens of the same name are replaced, others are added, the rest stays.
 * @throws TokensError with a sentence; nothing is taken in then
 */
export function readDesignTokens(text: string, before: StyleGuide): ReadTokens {
  let file: unknown
  try {
    file = JSON.parse(text)
  } catch (error) {
    throw new TokensError(`This is no JSON: ${(error as Error).message}.`)
  }
  if (!isObject(file)) throw new TokensError('A file of design tokens is a JSON object.')
  const flat = flatten(file, [], undefined, [])
  if (flat.length === 0) throw new TokensError('There are no tokens in the file: none of its objects has a “$value”.')
  const resolve = resolver(flat)
  const ours = isObject(file.$extensions) ? file.$extensions[OURS] : undefined
  let guide: StyleGuide = isObject(ours) ? ({ ...before, ...ours } as StyleGuide) : before
  const changed: string[] = []
  // Faces come first, since types are set in them.
  const order = (one: Flat) => (typeOfAlias(one, flat) === 'typography' ? 1 : 0)
  for (const one of [...flat].sort((a, b) => order(a) - order(b))) {
    const value = resolve(one.token.$value, [one.path])
    const type = typeOfAlias(one, flat)
    if (!KNOWN.includes(type as (typeof KNOWN)[number]))
      throw new TokensError(
        type === undefined
          ? `“${one.path}” has no type.`
          : `“${one.path}” is of the type “${type}”, for which a style guide has no place.`,
      )
    const extra = one.token.$extensions?.[OURS]
    guide = reading(one.path, () => putToken(guide, { ...one, type: type! }, value, isObject(extra) ? extra : undefined))
    changed.push(nameIn(one.path))
  }
  const checked = styleGuideSchema.safeParse(guide)
  if (!checked.success)
    throw new TokensError(
      `The tokens make no style guide: ${checked.error.issues[0]!.path.join(' › ')}: ${checked.error.issues[0]!.message}`,
    )
  return { guide: checked.data, changed }
}

/**
 * Reads a token; what it carries of ours is anything at all until it has been read, and fails in its own ways.
 * @throws TokensError
 */
export function reading<T>(path: string, read: () => T): T {
  try {
    return read()
  } catch (error) {
    throw error instanceof TokensError ? error : new TokensError(`“${path}” is not written as a token is, so it cannot be read.`)
  }
}

/** What a token carries of ours holds only as long as the value beside it is still the one that was written from it. */
const still = (written: Token, value: unknown): boolean => isSame(written.$value, value)

/**
 * Puts one token into a style guide, its aliases resolved.
 * @param name what it is called there
 * @throws TokensError if its value cannot be read
 */
export function putToken(
  guide: StyleGuide,
  { path, type }: { path: string; type: string },
  value: unknown,
  extra: Json | undefined,
  name = nameIn(path),
): StyleGuide {
  switch (type) {
    case 'color': {
      const { hex } = readColour(value, path)
      const { hex: _, ...old } = guide.colours.find((one) => one.role === name) ?? { hex }
      return { ...guide, colours: putNamed(guide.colours, 'role', { ...old, ...extra, role: name, hex }) }
    }
    case 'dimension': {
      const list = /corner|radi/i.test(path) ? 'corners' : 'spaces'
      const size = extra && still(lengthToken(extra as Length), value) ? (extra as Length) : readDimension(value, path)
      return { ...guide, [list]: putNamed(guide[list], 'name', { name, size }) }
    }
    case 'fontFamily': {
      const family = familyNamed(value) ?? (typeof extra?.family === 'string' ? extra.family : undefined)
      if (!family) throw new TokensError(`“${path}” names “${String(value)}”, a family that is not installed.`)
      return { ...guide, faces: putNamed(guide.faces, 'name', { name, family }) }
    }
    case 'typography':
      return { ...guide, types: putNamed(guide.types, 'role', readType(guide, name, path, value, extra)) }
    case 'shadow': {
      const layers = readShadow(value, path)
      const held = extra as StyleGuide['shadows'][number] | undefined
      const same = held && isSame(shadowValue(layersOf(guide, held), guide), value)
      return { ...guide, shadows: putNamed(guide.shadows, 'name', same ? held : { name, layers }) }
    }
    // A weight or a number on its own is part of other tokens, which name it.
    default:
      return guide
  }
}

function readType(guide: StyleGuide, name: string, path: string, value: unknown, extra: Json | undefined): TypeRole {
  if (!isObject(value)) throw new TokensError(`“${path}” is no typography.`)
  if (extra) {
    const held = extra as unknown as TypeRole
    const { fontFamily: _, ...written } = typeToken(guide, held).$value as Json
    const { fontFamily: __, ...now } = value
    if (isSame(written, now)) return held
  }
  const family = familyNamed(value.fontFamily)
  const face = guide.faces.find((one) => one.family === family)?.name
  if (!face) throw new TokensError(`“${path}” is set in “${String(value.fontFamily)}”, a family that is not installed.`)
  const size = readDimension(value.fontSize, `${path}, fontSize`)
  const px = size.unit === 'rem' ? size.value * 16 : size.value
  const spacing = readDimension(value.letterSpacing ?? { value: 0, unit: 'px' }, `${path}, letterSpacing`)
  const weight = typeof value.fontWeight === 'number' ? value.fontWeight : WEIGHTS[String(value.fontWeight)]
  if (weight === undefined) throw new TokensError(`“${path}” has the weight “${String(value.fontWeight)}”, which is none.`)
  return {
    role: name,
    face,
    weight,
    size,
    leading: Number(value.lineHeight ?? 1.5),
    tracking: round((spacing.unit === 'rem' ? spacing.value * 16 : spacing.value) / px),
  }
}

/** Names of weights that the format allows. */
const WEIGHTS: Record<string, number> = {
  thin: 100,
  'extra-light': 200,
  light: 300,
  normal: 400,
  regular: 400,
  medium: 500,
  'semi-bold': 600,
  bold: 700,
  'extra-bold': 800,
  black: 900,
}
