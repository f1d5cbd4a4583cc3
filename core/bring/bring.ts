import { type Block, guideColoursOf, hasTrait, typeRoleOf } from '#core/blocks/index'
import { walk } from '#core/blocks/tree'
import type { Breakpoint } from '#core/grid/breakpoint'
import type { Edit } from '#core/edits/index'
import type { SharedBlock } from '#core/site/shared'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { counted } from '#core/values/counted'
import { isObject } from '#core/values/object'
import type { MakeId } from '#core/values/ids'
import { isSame } from '#core/values/equal'
import { fitGuide } from './guide'
import type { Luggage } from './luggage'
import { type Named, type Rename, referencesIn, TEXTS, withReferences } from './references'

export type Brought = {
  /** The blocks by the names of this site. */
  blocks: Block[]
  /** What the site gets with them, to be made before they are put in. */
  edits: Edit[]
  /** What came along, what stands for what, and what is missing, in words. */
  said: string[]
}

/** The breakpoint of this site that is nearest to each of theirs. */
function breakpointNames(ours: readonly Breakpoint[], theirs: readonly Breakpoint[]): Map<string, string> {
  const below = ours.flatMap((one) => (one.below === null ? [] : [{ id: one.id, below: one.below }]))
  return new Map(
    theirs.flatMap((one) => {
      if (one.below === null) return ours[0] ? [[one.id, ours[0].id] as const] : []
      const best = below.toSorted((a, b) => Math.abs(a.below - one.below!) - Math.abs(b.below - one.below!))[0]
      return best ? [[one.id, best.id] as const] : []
    }),
  )
}

/** Words of another language stand where the site’s own are missing, so that what is brought is not empty. */
function inLanguage<T>(value: T, ours: string, theirs: string): T {
  if (Array.isArray(value)) return value.map((one) => inLanguage(one, ours, theirs)) as T
  if (!isObject(value)) return value
  const next: Record<string, unknown> = {}
  for (const [name, held] of Object.entries(value)) {
    const missing = TEXTS.has(name) && isObject(held) && held[theirs] !== undefined && held[ours] === undefined
    next[name] = missing ? { ...held, [ours]: held[theirs] } : TEXTS.has(name) ? held : inLanguage(held, ours, theirs)
  }
  return next as T
}

const some = (count: number, one: string): string[] => (count === 0 ? [] : [counted(count, one)])

/** `a`, `a and b`, `a, b and c`. */
const listed = (parts: readonly string[]): string =>
  parts.length < 2 ? (parts[0] ?? '') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`

/**
 * Brings blocks of another site into this one with all that they need: pictures, files, shared blocks, roles, faces and
 * fonts. What the site has already, by its bytes or its name, is used; a missing role takes the nearest or is added.
 * @param makeId makes ids for what would have one that is taken
 */
export function bring(site: Site, luggage: Luggage, given: readonly Block[], makeId: MakeId): Brought {
  const names = new Map<Named, Map<string, string>>()
  const edits: Edit[] = []
  const taken = new Set([
    ...site.pictures.map((one) => one.id),
    ...site.pages.flatMap((page) => [page.id, ...[...walkPage(page)].map((one) => one.id)]),
  ])
  const free = (id: string): string => {
    const now = taken.has(id) ? makeId() : id
    taken.add(now)
    return now
  }

  const pictures = new Map<string, string>()
  for (const picture of luggage.pictures) {
    const same = site.pictures.find((one) => one.hash === picture.hash)
    const id = same?.id ?? free(picture.id)
    pictures.set(picture.id, id)
    if (!same) edits.push({ kind: 'picture-add', picture: { ...picture, id } })
  }
  const addedPictures = edits.length
  const files = new Map<string, string>()
  const newFiles = luggage.files.flatMap((file) => {
    const same = (site.files ?? []).find((one) => one.hash === file.hash)
    const id = same?.id ?? ((site.files ?? []).some((one) => one.id === file.id) ? makeId() : file.id)
    files.set(file.id, id)
    return same ? [] : [{ item: { ...file, id } }]
  })
  if (newFiles.length > 0) edits.push({ kind: 'list', list: 'files', drop: [], put: newFiles })
  names.set('picture', pictures)
  names.set('file', files)
  names.set('breakpoint', breakpointNames(site.breakpoints, luggage.breakpoints))
  names.set('page', new Map(site.pages.map((one) => [one.id, one.id])))

  const newShared = luggage.shared.filter((one) => !site.shared.some((own) => own.id === one.id))
  names.set('shared', new Map(luggage.shared.map((one) => [one.id, one.id])))
  const used = referencesIn([given, newShared])
  const all = [...given, ...newShared.map((one) => one.block)].flatMap((block) => [...walk(block)])
  const implied = new Map<Named, Set<string>>([
    ['type', new Set(all.filter((block) => hasTrait(block.kind, 'type')).map((block) => typeRoleOf(block, site.guide)))],
    ['colour', referencesIn(all.map((block) => guideColoursOf(block, site.guide))).get('colour') ?? new Set()],
  ])
  const fitted = fitGuide(site.guide, site.fonts, luggage, used, implied)
  for (const [what, own] of fitted.names) names.set(what, own)
  if (fitted.fonts.length > 0) edits.push({ kind: 'list', list: 'fonts', drop: [], put: fitted.fonts.map((item) => ({ item })) })
  for (const part of ['faces', 'types', 'colours'] as const)
    if (!isSame(fitted.guide[part], site.guide[part])) edits.push({ kind: 'guide', part, value: fitted.guide[part] } as Edit)

  let lost = { pictures: 0, links: 0 }
  const rename: Rename = (what, name) => {
    const now = names.get(what)?.get(name)
    // Roles and spaces of the same name are ours.
    if (now !== undefined || !['picture', 'file', 'shared', 'page', 'breakpoint'].includes(what)) return now ?? name
    if (what === 'picture') lost = { ...lost, pictures: lost.pictures + 1 }
    if (what === 'page' || what === 'file') lost = { ...lost, links: lost.links + 1 }
    return undefined
  }
  const adapted = <T>(value: T): T => inLanguage(withReferences(value, rename), site.language, luggage.language)
  for (const one of newShared)
    edits.push({
      kind: 'copies',
      id: one.id,
      shared: { ...(adapted({ ...one }) as SharedBlock), name: one.name },
      blocks: [],
    })
  const blocks = given.map(adapted)

  const along = [
    ...some(addedPictures, 'picture'),
    ...some(newFiles.length, 'file'),
    ...some(newShared.length, 'shared block'),
    ...some(fitted.fonts.length, 'font'),
  ]
  const said = [
    ...(along.length > 0 ? [`${listed(along)} came along`] : []),
    ...fitted.said,
    ...(lost.pictures > 0 ? [`${counted(lost.pictures, 'picture')} could not be found on this server`] : []),
    ...(lost.links > 0
      ? [`${counted(lost.links, 'link')} led to the other site and ${lost.links === 1 ? 'leads' : 'lead'} nowhere now`]
      : []),
  ]
  return { blocks, edits, said }
}
