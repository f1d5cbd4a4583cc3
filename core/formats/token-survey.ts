import { isObject } from '#core/values/object'
import { type StyleGuide, styleGuideSchema } from '#core/guide/style-guide'
import {
  type Flat,
  flatten,
  type Json,
  KNOWN,
  nameIn,
  OURS,
  putToken,
  reading,
  resolver,
  TokensError,
  typeOfAlias,
} from './design-tokens'

/** Parts of a style guide that tokens go into, and how many each holds. */
export const TOKEN_PARTS = { colours: 60, faces: 12, types: 40, spaces: 30, corners: 12, shadows: 12 } as const
export type TokenPart = keyof typeof TOKEN_PARTS

/** A token that can be taken into a style guide. */
export type TokenOffer = {
  file: string
  path: string
  type: string
  part: TokenPart
  /** Name that it would have, and that of the guide's own which it most likely stands for. */
  name: string
  stands?: string
  /** Its value in words: a colour as #RRGGBB, a size with its unit. */
  shown: string
  value: unknown
  extra?: Json
}
/** A token, or a whole file, that cannot be taken, and why. */
export type TokenRefusal = { file: string; path: string; reason: string }
export type TokenSurvey = { offers: TokenOffer[]; refusals: TokenRefusal[] }

const PART_OF: Partial<Record<string, TokenPart>> = {
  color: 'colours',
  fontFamily: 'faces',
  typography: 'types',
  shadow: 'shadows',
}
const partOf = (type: string, path: string): TokenPart | undefined =>
  type === 'dimension' ? (/corner|radi/i.test(path) ? 'corners' : 'spaces') : PART_OF[type]

/** Names under which other sets have the roles that a style guide has. */
const ALSO: [role: string, names: RegExp][] = [
  ['on-primary', /on[-.]?primary|primary[-.](foreground|text|contrast)/],
  ['on-accent', /on[-.]?(accent|secondary)|(accent|secondary)[-.](foreground|text|contrast)/],
  ['panel', /panel|surface[-.]?(2|alt|variant|raised|muted)|card|background[-.](alt|muted|subtle)/],
  ['ground', /ground|background|canvas|surface|page|base$/],
  ['ink-soft', /(text|ink|foreground)[-.](soft|muted|subtle|secondary|low)|muted[-.](foreground|text)/],
  ['ink', /ink|text|foreground|on[-.]?surface|body$/],
  ['line', /line|border|outline|divider|rule|stroke/],
  ['link', /link|anchor/],
  ['primary', /primary|brand|main$/],
  ['accent', /accent|secondary|highlight/],
]

/** The name in the guide that a token most likely stands for: the same, or one that other sets call so. */
function standsFor(path: string, name: string, part: TokenPart, guide: StyleGuide): string | undefined {
  const own = namesIn(guide, part)
  if (own.includes(name)) return name
  if (part !== 'colours') return undefined
  const plain = path.toLowerCase()
  return ALSO.find(([role, names]) => own.includes(role) && names.test(plain))?.[0]
}

/** The names that a part of a guide has. */
export const namesIn = (guide: StyleGuide, part: TokenPart): string[] =>
  guide[part].map((one) => ('role' in one ? one.role : one.name))

/** The last value that a part has under a name, in words. */
function shownIn(guide: StyleGuide, part: TokenPart, name: string): string {
  const found = guide[part].find((one) => ('role' in one ? one.role : one.name) === name)!
  if ('hex' in found) return found.hex
  if ('family' in found) return found.family
  const size = (found as { size?: unknown }).size
  if (isObject(size) && 'value' in size) return `${String(size.value)} ${String(size.unit)}`
  return 'layers' in found ? `${found.layers.length} ${found.layers.length === 1 ? 'layer' : 'layers'}` : ''
}

const whyNot = (type: string | undefined): string =>
  type === undefined
    ? 'It has no type.'
    : type === 'fontWeight' || type === 'number'
      ? 'A weight or a number on its own is used through the tokens that name it.'
      : `It is of the type “${type}”, for which a style guide has no place.`

/** Reads a file, and says so if it is none. */
function read({ name, text }: { name: string; text: string }, refusals: TokenRefusal[]): (Flat & { file: string })[] {
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch (error) {
    refusals.push({ file: name, path: '', reason: `This is no JSON: ${(error as Error).message}.` })
    return []
  }
  const flat = isObject(json) ? flatten(json, [], undefined, []) : []
  if (flat.length === 0) refusals.push({ file: name, path: '', reason: 'There are no tokens in it: nothing has a “$value”.' })
  return flat.map((one) => ({ ...one, file: name }))
}

/**
 * Says of files of design tokens, taken together, what of them a style guide can take, and what not and why. Aliases may
 * lead from one file into another.
 */
export function surveyTokens(files: readonly { name: string; text: string }[], guide: StyleGuide): TokenSurvey {
  const refusals: TokenRefusal[] = []
  const flat = files.flatMap((file) => read(file, refusals))
  const resolve = resolver(flat)
  const offers: TokenOffer[] = []
  const taken = new Map<TokenPart, Set<string>>()
  // Faces come first, since types are set in them.
  const order = (one: Flat) => (typeOfAlias(one, flat) === 'typography' ? 1 : 0)
  let known = guide
  for (const one of [...flat].sort((a, b) => order(a) - order(b))) {
    const { file, path } = one
    const type = typeOfAlias(one, flat)
    const part = type === undefined ? undefined : partOf(type, path)
    if (!part || !KNOWN.includes(type as (typeof KNOWN)[number])) {
      refusals.push({ file, path, reason: whyNot(type) })
      continue
    }
    const names = taken.get(part) ?? new Set<string>()
    taken.set(part, names)
    const wanted = nameIn(path)
    let name = wanted
    for (let n = 2; names.has(name); n++) name = `${wanted.slice(0, 36)}-${n}`
    try {
      const value = resolve(one.token.$value, [path])
      const ours = one.token.$extensions?.[OURS]
      const extra = isObject(ours) ? ours : undefined
      // Tried on a guide without its limits, so that types find the faces of the same files.
      known = reading(path, () => putToken(known, { path, type: type! }, value, extra, name))
      names.add(name)
      const stands = standsFor(path, wanted, part, guide)
      offers.push({
        file,
        path,
        type: type!,
        part,
        name,
        ...(stands === undefined ? {} : { stands }),
        shown: shownIn(known, part, name),
        value,
        ...(extra ? { extra } : {}),
      })
    } catch (error) {
      if (!(error instanceof TokensError)) throw error
      refusals.push({ file, path, reason: error.message })
    }
  }
  return { offers, refusals }
}

/** Tokens that are taken, each under a name. */
export type TakenToken = { offer: TokenOffer; name: string }

/**
 * A style guide with tokens put in: those of a name that it has take its place, others are added.
 * @throws TokensError where it would hold more than it may, or two tokens have one name
 */
export function withTokensTaken(guide: StyleGuide, taken: readonly TakenToken[]): StyleGuide {
  const seen = new Set<string>()
  for (const { offer, name } of taken) {
    const key = `${offer.part} ${name}`
    if (seen.has(key)) throw new TokensError(`Two tokens are to become “${name}”. Give one another name, or leave it out.`)
    seen.add(key)
  }
  const order = ({ offer }: TakenToken) => (offer.part === 'types' ? 1 : 0)
  const next = [...taken]
    .sort((a, b) => order(a) - order(b))
    .reduce((now, { offer, name }) => putToken(now, offer, offer.value, offer.extra, name), guide)
  for (const part of Object.keys(TOKEN_PARTS) as TokenPart[])
    if (next[part].length > TOKEN_PARTS[part])
      throw new TokensError(
        `That would make ${next[part].length} ${part}; a guide has ${TOKEN_PARTS[part]} at most. Leave some out.`,
      )
  const checked = styleGuideSchema.safeParse(next)
  if (!checked.success)
    throw new TokensError(
      `The tokens make no style guide: ${checked.error.issues[0]!.path.join(' › ')}: ${checked.error.issues[0]!.message}`,
    )
  return checked.data
}

/** Most tokens that are ticked at once where a set says nothing that the guide has a name for. */
const FEW = 24

/** Tokens that are ticked to begin with: what stands for something that the guide has, each once; else all, if they are few. */
export function firstTicked(offers: readonly TokenOffer[]): Map<TokenOffer, string> {
  const chosen = new Map<TokenOffer, string>()
  const used = new Set<string>()
  // A token of the very name goes before one that is only called alike.
  for (const offer of [...offers].sort((a, b) => Number(b.stands === b.name) - Number(a.stands === a.name))) {
    const key = `${offer.part} ${offer.stands}`
    if (offer.stands === undefined || used.has(key)) continue
    used.add(key)
    chosen.set(offer, offer.stands)
  }
  if (offers.length <= FEW) for (const offer of offers) if (!chosen.has(offer)) chosen.set(offer, offer.name)
  return chosen
}

/** True where a set leaves something to ask: it is large, is of several files, has what cannot be taken, or calls things otherwise. */
export const isToBeAsked = (offers: readonly TokenOffer[], refusals: readonly TokenRefusal[]): boolean =>
  refusals.length > 0 ||
  offers.length > FEW ||
  new Set(offers.map((one) => one.file)).size > 1 ||
  offers.some((one) => one.stands !== undefined && one.stands !== one.name)
