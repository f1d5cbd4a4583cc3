import { isObject } from '#core/values/object'

/** Kinds of thing in a site that a block names. */
export type Named = 'picture' | 'file' | 'shared' | 'page' | 'breakpoint' | 'colour' | 'token' | 'type' | 'face' | 'button'

/** What stands in the place of a name: another name, or `undefined` where what names it goes. */
export type Rename = (what: Named, name: string) => string | undefined

/** Fields whose value is a name. */
const FIELDS: Record<string, Named> = {
  picture: 'picture',
  video: 'picture',
  poster: 'picture',
  file: 'file',
  shared: 'shared',
  page: 'page',
  face: 'face',
}

const GONE = Symbol('gone')

/** Names stand as keys where values are set by breakpoint. */
function byBreakpoint(values: object, rename: Rename, ofValue: (value: unknown) => unknown): object {
  const next: Record<string, unknown> = {}
  for (const [name, value] of Object.entries(values)) {
    const now = rename('breakpoint', name)
    const held = ofValue(value)
    if (now === undefined || held === GONE) continue
    // Two of theirs may be one of ours: what is set for the narrower one comes later and holds.
    next[now] = isObject(next[now]) && isObject(held) ? { ...next[now], ...held } : held
  }
  return next
}

function renamedField(name: string, value: unknown, of: Record<string, unknown>, rename: Rename): unknown {
  const inside = (one: unknown) => renamed(one, rename)
  if (name === 'below' && isObject(value)) return byBreakpoint(value, rename, inside)
  // A motion changes roles of the guide, which are its keys.
  if (name === 'colours' && isObject(value))
    return Object.fromEntries(Object.entries(value).map(([role, one]) => [rename('colour', role) ?? role, inside(one)]))
  if (name === 'instead' && isObject(value))
    return byBreakpoint(value, rename, (one) => (typeof one === 'string' ? (rename('picture', one) ?? GONE) : inside(one)))
  if (typeof value !== 'string') return inside(value)
  if (name === 'below') return rename('breakpoint', value) ?? GONE
  if (name === 'role') return rename('colour', value) ?? GONE
  if (name === 'token') return rename('token', value) ?? GONE
  if (name === 'type' && 'words' in of) return rename('type', value) ?? GONE
  if (name === 'look' && of.kind === 'button') return rename('button', value) ?? GONE
  const what = Object.hasOwn(FIELDS, name) ? FIELDS[name] : undefined
  return what ? (rename(what, value) ?? GONE) : value
}

/** Fields that hold what people read: words name nothing, whatever they say. */
export const TEXTS = new Set(['words', 'alt', 'label', 'caption', 'captions', 'options', 'name'])

const isBlock = (value: Record<string, unknown>): boolean => typeof value.id === 'string' && typeof value.kind === 'string'

function renamed(value: unknown, rename: Rename): unknown {
  if (Array.isArray(value)) return value.map((one) => renamed(one, rename)).filter((one) => one !== GONE)
  if (!isObject(value)) return value
  const next: Record<string, unknown> = {}
  for (const [name, held] of Object.entries(value)) {
    const now = TEXTS.has(name) ? held : renamedField(name, held, value, rename)
    if (now !== GONE) next[name] = now
    // A link, a layer or a copy is nothing without what it names; a block stays.
    else if (!isBlock(value)) return GONE
  }
  return next
}

/** A block with other names of what it needs of its site: pictures, roles, spaces, breakpoints. */
export const withReferences = <T>(value: T, rename: Rename): T => renamed(value, rename) as T

/** All that blocks name, by kind. */
export function referencesIn(value: unknown): Map<Named, Set<string>> {
  const found = new Map<Named, Set<string>>()
  renamed(value, (what, name) => {
    const names = found.get(what)
    if (names) names.add(name)
    else found.set(what, new Set([name]))
    return name
  })
  return found
}
