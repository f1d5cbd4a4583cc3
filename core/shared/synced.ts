import { type Block, kindOf } from '#core/blocks/index'
import { isContainer, walk, withChildren } from '#core/blocks/tree'
import type { Guise, SharedBlock } from '#core/site/shared'
import { overlaid } from '#core/site/directions'
import type { Site } from '#core/site/schema'
import { withSections } from '#core/site/tree'
import { type PropertyName, propertyNames, propertyOf, type Style, type StyleValues, statesOfStyle } from '#core/style/registry'
import { isSame } from '#core/values/equal'
import { copiesIn, type Copy, derivedId, guiseOf, partOf } from './copies'

/** Fields that each copy may have of its own. Words and alternative texts are its own language by language. */
export const OWN_FIELDS = ['words', 'alt', 'picture', 'instead', 'turn', 'link', 'press'] as const
export type OwnField = (typeof OWN_FIELDS)[number]
const BY_LANGUAGE: ReadonlySet<string> = new Set(['words', 'alt'])
export const isOwnField = (field: string): boolean => (OWN_FIELDS as readonly string[]).includes(field)

/** Fields of a kind that a guise may have otherwise. */
export const fieldsOfGuise = (kind: Block['kind']): string[] =>
  ['hidden', ...Object.keys(kindOf(kind).fields.shape)].filter((name) => !isOwnField(name))

/** Style values that say where a block stands, which are each copy's own for its outermost block. A section has none. */
const PLACING: ReadonlySet<PropertyName> = new Set(propertyNames.filter((name) => propertyOf(name).placing))
export const isPlacing = (block: Block, name: PropertyName): boolean => block.kind !== 'section' && PLACING.has(name)

const only = (values: StyleValues | undefined, wanted: (name: PropertyName) => boolean): StyleValues | undefined => {
  const kept = Object.entries(values ?? {}).filter(([name]) => wanted(name as PropertyName))
  return kept.length > 0 ? Object.fromEntries(kept) : undefined
}

/** A style with some of its values alone; a scope that is left without any goes. */
function sifted(style: Style, wanted: (name: PropertyName) => boolean): Style {
  const { base, below } = style
  const ranges = Object.entries(below ?? {}).flatMap(([id, values]) => {
    const kept = only(values, wanted)
    return kept ? [[id, kept] as const] : []
  })
  const kept = only(base, wanted)
  const states = statesOfStyle(style).flatMap(([state, values]) => {
    const left = only(values, wanted)
    return left ? [[state, left] as const] : []
  })
  return {
    ...(kept ? { base: kept } : {}),
    ...(ranges.length > 0 ? { below: Object.fromEntries(ranges) } : {}),
    ...Object.fromEntries(states),
  }
}

/** What a part of a shared block is in a guise, or without one. */
export function inGuise(part: Block, guise: Guise | undefined): Block {
  const differs = guise && Object.hasOwn(guise.parts, part.id) ? guise.parts[part.id] : undefined
  if (!differs) return part
  const allowed = new Set(fieldsOfGuise(part.kind))
  const fields = Object.entries(differs.fields ?? {}).filter(([name]) => allowed.has(name))
  return { ...part, ...Object.fromEntries(fields), style: overlaid(part.style, differs.style ?? {}) } as Block
}

/** What a field of a copy becomes: its own where it has one, else the part's. */
function ownOrShared(field: string, was: unknown, now: unknown, copy: unknown): unknown {
  if (BY_LANGUAGE.has(field)) {
    const [before, after, mine] = [was ?? {}, now ?? {}, copy ?? {}] as Record<string, unknown>[]
    const languages = [...new Set([...Object.keys(after!), ...Object.keys(mine!)])]
    const entries = languages.flatMap((language) => {
      const value = isSame(mine![language], before![language]) ? after![language] : mine![language]
      return value === undefined ? [] : [[language, value] as const]
    })
    return entries.length === 0 && now === undefined && copy === undefined ? undefined : Object.fromEntries(entries)
  }
  return isSame(copy, was) ? now : copy
}

/** Ids of the blocks of copies that are copies of new parts, by the ids of the copies and the parts; others are derived. */
export type IdsOfNew = Record<string, Record<string, string>>

/**
 * A copy brought up to date with its shared block.
 * @param was the shared block as the copy was made from it; the same as `now` where it has not changed
 * @returns the same object if nothing is to be changed
 */
export function synced(copy: Copy, was: SharedBlock, now: SharedBlock, ids: IdsOfNew = {}): Copy {
  const before = new Map([...walk(was.block)].map((one) => [one.id, one]))
  const mine = new Map<string, Block>()
  for (const one of walk(copy)) {
    const part = partOf(was, one)
    if (part !== undefined && !mine.has(part)) mine.set(part, one)
  }
  const guise = guiseOf(now, copy.copyOf.guise)

  const made = (part: Block, old: Block | undefined): Block => {
    const root = part === now.block
    const { id, name: _, children: _c, ...shared } = inGuise(part, guise) as Block & { children?: Block[] }
    const block: Record<string, unknown> = { ...shared, id: old?.id ?? ids[copy.id]?.[id] ?? derivedId(copy.id, id) }
    if (root) {
      const placing = (name: PropertyName) => isPlacing(part, name)
      const rest = sifted(shared.style, (name) => !placing(name))
      Object.assign(block, {
        name: now.name,
        hidden: old!.hidden,
        locked: old!.locked,
        copyOf: { shared: now.id, ...(guise ? { guise: guise.id } : {}) },
        style: overlaid(rest, sifted(old!.style, placing)),
      })
    } else Object.assign(block, { name: part.name, sharedPart: id })
    const source = before.get(id) as Record<string, unknown> | undefined
    if (old && source)
      for (const field of OWN_FIELDS) {
        const value = ownOrShared(
          field,
          source[field],
          (part as never as Record<string, unknown>)[field],
          (old as never as Record<string, unknown>)[field],
        )
        if (value === undefined) delete block[field]
        else block[field] = value
      }
    for (const name of Object.keys(block)) if (block[name] === undefined) delete block[name]
    if (!isContainer(part)) return old && isSame(old, block) ? old : (block as unknown as Block)
    const children = part.children.map((child) => made(child, kindred(mine.get(child.id), child)))
    const held = old && isContainer(old) ? old.children : []
    const same = held.length === children.length && held.every((one, i) => one === children[i])
    block.children = same ? held : children
    return old && same && isSame({ ...old, children: 0 }, { ...block, children: 0 }) ? old : (block as unknown as Block)
  }
  return made(now.block, copy) as Copy
}

/** A block of a copy, if it can still stand for a part: an id that was given to a part of another kind is another's. */
const kindred = (block: Block | undefined, part: Block): Block | undefined => (block?.kind === part.kind ? block : undefined)

/** A block with its copies changed, wherever they stand; the same object if none of them is. */
export const withCopies = <B extends Block>(block: B, change: (copy: Copy) => Block): B =>
  block.copyOf ? (change(block as B & Copy) as B) : withChildren(block, (child) => withCopies(child, change))

/** A site in which a shared block has become another, with every copy of it brought up to date. */
export function withShared(site: Site, was: SharedBlock, now: SharedBlock, ids?: IdsOfNew): Site {
  const changed = { ...site, shared: site.shared.map((one) => (one.id === now.id ? now : one)) }
  return withSections(changed, (section) =>
    copiesIn(section).length === 0
      ? section
      : withCopies(section, (copy) => (copy.copyOf.shared === now.id ? synced(copy, was, now, ids) : copy)),
  )
}
