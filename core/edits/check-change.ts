import { z } from 'zod'
import { walk } from '#core/blocks/tree'
import type { Section } from '#core/blocks/index'
import { type Page, type Site, siteSchema } from '#core/site/schema'
import type { SharedBlock } from '#core/site/shared'
import { findBlock } from '#core/site/tree'
import { isObject } from '#core/values/object'
import { EditError } from './edit'
import { checkInside } from './structure'

type Path = readonly PropertyKey[]
type Named = { id: string }

/** What is in each of two lists and not, as the same object, in the other. */
function apart<T>(before: readonly T[], after: readonly T[]): { gone: T[]; come: T[] } {
  if (before === after) return { gone: [], come: [] }
  // Most edits change one thing in a list and leave the others where they are.
  let [from, to] = [0, 0]
  while (from < before.length && before[from] === after[from]) from++
  while (to < before.length - from && to < after.length - from && before.at(-1 - to) === after.at(-1 - to)) to++
  const [old, now] = [before.slice(from, before.length - to), after.slice(from, after.length - to)]
  const [wasThere, isThere] = [new Set(old), new Set(now)]
  return { gone: old.filter((one) => !isThere.has(one)), come: now.filter((one) => !wasThere.has(one)) }
}

/** Checks a value in full, by its schema. */
function checkWhole(schema: z.ZodType, value: unknown, path: Path): void {
  const parsed = schema.safeParse(value)
  if (parsed.success) return
  const [issue] = parsed.error.issues
  const place = [...path, ...issue!.path].map(String).join('.')
  throw new EditError(`This would break the site (at "${place}"): ${issue!.message}`)
}

const lists = new WeakMap<z.ZodArray, z.ZodType>()

/** The schema of a list that looks at its length alone. */
function lengthOf(schema: z.ZodArray): z.ZodType {
  let known = lists.get(schema)
  if (!known) lists.set(schema, (known = schema.clone({ ...schema.def, element: z.unknown() as never })))
  return known
}

/** Looks at the parts of an object, or of an object of one of several kinds; false for one that must be checked whole. */
function checkFields(schema: z.ZodType, before: unknown, after: unknown, path: Path): boolean {
  if (!isObject(before) || !isObject(after)) return false
  if (schema instanceof z.ZodDiscriminatedUnion) {
    const { discriminator, options } = schema.def
    const kind = after[discriminator]
    const option = (options as z.ZodObject[]).find((one) => (one.shape[discriminator] as z.ZodLiteral).values.has(kind as never))
    return option !== undefined && before[discriminator] === kind && checkFields(option, before, after, path)
  }
  if (!(schema instanceof z.ZodObject) || (schema.def.checks?.length ?? 0) > 0) return false
  const shape = schema.shape as Record<string, z.ZodType>
  if (!Object.keys(after).every((name) => Object.hasOwn(shape, name))) return false
  // Most fields are what they were; their paths are not worth making.
  for (const name in shape) if (before[name] !== after[name]) checkPart(shape[name]!, before[name], after[name], [...path, name])
  return true
}

/** Looks at the length of a list and at those of its items that are new or changed. */
function checkItems(schema: z.ZodType, before: unknown, after: unknown, path: Path): boolean {
  if (!(schema instanceof z.ZodArray) || !Array.isArray(before) || !Array.isArray(after)) return false
  checkWhole(lengthOf(schema), after, path)
  const { gone, come } = apart<Partial<Named>>(before, after)
  const known = new Map(gone.map((one) => [one?.id, one]))
  for (const item of come) checkPart(schema.element as z.ZodType, known.get(item?.id), item, [...path, item?.id ?? ''])
  return true
}

const inner = new WeakMap<z.ZodType, z.ZodType>()

/** What stands behind a schema that only says that a value may be missing, or that is made when it is first asked for. */
function behind(schema: z.ZodType): z.ZodType {
  if (!(schema instanceof z.ZodOptional || schema instanceof z.ZodLazy)) return schema
  let known = inner.get(schema)
  if (!known) inner.set(schema, (known = behind(schema.unwrap() as z.ZodType)))
  return known
}

/** Checks what differs from a valid value. What is the same object as before was valid then, and is not looked at. */
function checkPart(schema: z.ZodType, before: unknown, after: unknown, path: Path): void {
  if (before === after) return
  const plain = behind(schema)
  if (checkFields(plain, before, after, path) || checkItems(plain, before, after, path)) return
  checkWhole(schema, after, path)
}

function checkUnique(list: readonly Named[], what: string): void {
  const seen = new Set<string>()
  for (const { id } of list) {
    if (seen.has(id)) throw new EditError(`There would be two ${what} with the id "${id}".`)
    seen.add(id)
  }
}

const holdsId = (site: Site, id: string): boolean =>
  site.pictures.some((one) => one.id === id) || site.pages.some((one) => one.id === id) || findBlock(site, id) !== undefined

const sectionsOf = (pages: readonly Page[]): Section[] => pages.flatMap((page) => page.sections)

function* idsIn(sections: readonly Section[]): Generator<string> {
  for (const section of sections) for (const { id } of walk(section)) yield id
}

/** Lists whose things have ids of their own. */
const LISTS = {
  fonts: 'fonts',
  files: 'files',
  board: 'references',
  unplaced: 'unplaced words',
  directions: 'directions',
  shared: 'shared blocks',
} as const

/** Checks what stands in a shared block: parts with ids of their own, none of them a copy, and only where they may. */
function checkParts({ block, guises }: SharedBlock): void {
  const parts = [...walk(block)]
  checkUnique(parts, 'parts of a shared block')
  checkUnique(guises, 'guises')
  if (parts.some((one) => one.copyOf !== undefined || one.sharedPart !== undefined))
    throw new EditError('A shared block cannot stand in another.')
  checkInside(block)
}

/** Checks that no two things of a list have one id, in those lists that are not the same as before. @throws EditError */
export function checkLists(after: Site, before?: Site): void {
  if (before?.shared !== after.shared) for (const one of after.shared) if (!before?.shared.includes(one)) checkParts(one)
  for (const list of Object.keys(LISTS) as (keyof typeof LISTS)[])
    if (before?.[list] !== after[list]) checkUnique(after[list] ?? [], LISTS[list])
}

/** Pages, blocks and pictures share one set of ids. */
function checkTree(before: Site, after: Site): void {
  const pages = apart(before.pages, after.pages)
  const pictures = apart(before.pictures, after.pictures)
  const sections = apart(sectionsOf(pages.gone), sectionsOf(pages.come))
  const old = new Set([...pages.gone, ...pictures.gone].map((one) => one.id).concat(...idsIn(sections.gone)))
  const seen = new Set<string>()
  for (const id of [...[...pages.come, ...pictures.come].map((one) => one.id), ...idsIn(sections.come)]) {
    if (seen.has(id) || (!old.has(id) && holdsId(before, id))) throw new EditError(`The id "${id}" is taken.`)
    seen.add(id)
  }
  for (const section of sections.come) checkInside(section)
}

/**
 * Checks that a site is valid still after an edit, given that it was before: nothing may be kept that could not be
 * opened again. It looks at what is another object than before, so that its cost follows the edit and not the site.
 * @throws EditError
 */
export function checkChange(before: Site, after: Site): void {
  checkPart(siteSchema, before, after, [])
  checkLists(after, before)
  if (before.pages !== after.pages || before.pictures !== after.pictures) checkTree(before, after)
}
