import { valuesIn } from '#core/style/registry'
import { z } from 'zod'
import type { Block, Section } from '#core/blocks/index'
import { hasWords, walk } from '#core/blocks/tree'
import type { Differs, Guise, SharedBlock } from '#core/site/shared'
import type { Page, Site } from '#core/site/schema'
import type { Unplaced } from '#core/site/passage'
import { blockOfPart, copiesOf, derivedId, guiseOf, partWith, sharedOf } from '#core/shared/copies'
import { fieldsOfGuise, inGuise, withShared } from '#core/shared/synced'
import { isSame } from '#core/values/equal'
import { idSchema } from '#core/values/ids'
import type { Batch } from './batch'
import { type CopiesEdit } from './copies'
import { EditError, type EditKind } from './edit'
import { type FieldEdit, fieldEdit } from './field'
import { type InsertEdit, insertEdit } from './insert'
import { takeBack, wordsToKeep } from './keep-words'
import { type ListEdit } from './list'
import { type MoveEdit, moveEdit } from './move'
import { type RemoveEdit, removeEdit } from './remove'
import { checkInside } from './structure'
import { type StyleEdit, styleEdit } from './style'
import { type WordsEdit, wordsEdit } from './words'

/** What can be done to the parts of a shared block: the edits of blocks, with ids of parts in them. */
const INNER = { style: styleEdit, words: wordsEdit, field: fieldEdit, insert: insertEdit, remove: removeEdit, move: moveEdit }
export type Inner = StyleEdit | WordsEdit | FieldEdit | InsertEdit | RemoveEdit | MoveEdit
const innerOf = (edit: Inner) => INNER[edit.kind] as unknown as EditKind<Inner>

const schema = z.strictObject({
  kind: z.literal('shared'),
  shared: idSchema,
  /** The guise that alone is meant, for style and fields; else all copies are. */
  guise: idSchema.optional(),
  edit: z.discriminatedUnion('kind', [
    styleEdit.schema as never,
    wordsEdit.schema as never,
    fieldEdit.schema as never,
    insertEdit.schema as never,
    removeEdit.schema as never,
    moveEdit.schema as never,
  ]) as unknown as z.ZodType<Inner>,
  /** Ids that blocks of new parts have in some copies, by the ids of the copies and of the parts; others are derived. */
  ids: z.record(idSchema, z.record(idSchema, idSchema)).optional(),
})
export type SharedEdit = z.infer<typeof schema>

/** A site with nothing on its one page but a shared block, so that edits of blocks can be made on its parts. */
function alone(site: Site, block: Block): { site: Site; parent: string } {
  const page = site.pages[0]!
  const holder = {
    id: derivedId(block.id, 'holder'),
    kind: 'section',
    job: 'story',
    style: {},
    children: [block],
  } as unknown as Section
  const inside = block.kind === 'section' ? page.id : holder.id
  return {
    site: { ...site, unplaced: [], pages: [{ ...page, sections: block.kind === 'section' ? [block] : [holder] }] },
    parent: inside,
  }
}

/** The block that is left when an edit has been made on a shared block alone. */
function madeOn(site: Site, block: Block, edit: Inner): Block {
  const { site: scene, parent } = alone(site, block)
  const target = 'parent' in edit ? edit.parent : undefined
  if (target === parent) throw new EditError('A shared block is one block; what is added to it goes inside.')
  const { sections } = innerOf(edit).apply(scene, edit).site.pages[0]!
  const left = block.kind === 'section' ? sections : ((sections[0]?.children ?? []) as Block[])
  if (left.length !== 1 || left[0]!.id !== block.id) throw new EditError('The outermost block of a shared block stays.')
  checkInside(left[0]!)
  return left[0]!
}

/** What a part has otherwise in a guise, after an edit that is about that guise alone. */
function differing(site: Site, shared: SharedBlock, guise: Guise, edit: StyleEdit | FieldEdit): Differs {
  const part = partWith(shared, edit.block)
  if (!part) throw new EditError(`“${shared.name}” has no such part any more.`)
  const now: Differs = (Object.hasOwn(guise.parts, part.id) ? guise.parts[part.id] : undefined) ?? {}
  if (edit.kind === 'style') {
    const bare = madeOn(site, { ...part, style: now.style ?? {}, ...('children' in part ? { children: [] } : {}) } as Block, edit)
    const { style: _, ...rest } = now
    return Object.keys(bare.style).length > 0 ? { ...rest, style: bare.style } : rest
  }
  if (!fieldsOfGuise(part.kind).includes(edit.field)) throw new EditError(`A guise cannot have another ${edit.field}.`)
  const fields = { ...now.fields }
  if (edit.value === null) delete fields[edit.field]
  else {
    // Checked on the part as it is in the guise.
    madeOn(site, { ...inGuise(part, guise), ...('children' in part ? { children: [] } : {}) } as Block, edit)
    fields[edit.field] = edit.value
  }
  const { fields: _, ...rest } = now
  return Object.keys(fields).length > 0 ? { ...rest, fields } : rest
}

/** A shared block after an edit. */
function changed(site: Site, shared: SharedBlock, { guise: id, edit }: SharedEdit): SharedBlock {
  if (edit.kind === 'field' && edit.field === 'name' && edit.block === shared.block.id)
    return { ...shared, name: typeof edit.value === 'string' ? edit.value : shared.name }
  const guise = guiseOf(shared, id)
  if (id === undefined || (edit.kind !== 'style' && edit.kind !== 'field'))
    return { ...shared, block: madeOn(site, shared.block, edit) }
  if (!guise) throw new EditError(`“${shared.name}” has no such guise any more.`)
  const differs = differing(site, shared, guise, edit)
  const { [edit.block]: _, ...others } = guise.parts
  const parts = Object.keys(differs).length > 0 ? { ...others, [edit.block]: differs } : others
  return { ...shared, guises: shared.guises.map((one) => (one === guise ? { ...guise, parts } : one)) }
}

/** The words of parts that are taken out, as they stand in the copies: those that all share once, and each copy's own. */
function keptOf(site: Site, shared: SharedBlock, parts: readonly string[]): Unplaced[] {
  const kept: Unplaced[] = []
  copiesOf(site, shared.id).forEach(({ page, section, copy }, n) => {
    for (const part of parts) {
      const block = blockOfPart(shared, copy, part)
      if (!block) continue
      const own = new Map([...walk(block)].map((one) => [one.id, partWith(shared, one.sharedPart)]))
      for (const one of wordsToKeep({ ...site, unplaced: [...site.unplaced, ...kept] }, page as Page, section, block)) {
        const source = own.get(one.from!)
        if (n === 0 || !source || !hasWords(source) || !isSame(source.words, one.words)) kept.push(one)
      }
    }
  })
  return kept
}

type Back = SharedEdit | CopiesEdit | Batch<SharedEdit | CopiesEdit | ListEdit>

/** Changes a shared block, and with it every copy; or one guise of it, and the copies in that guise. */
export const sharedEdit: EditKind<SharedEdit, Back> = {
  kind: 'shared',
  schema,
  label: ({ edit }) => innerOf(edit).label(edit),
  sets({ shared, guise, edit }) {
    const inner = innerOf(edit).sets?.(edit)
    return inner && { of: `${shared} ${guise ?? ''} ${inner.of}`, names: inner.names }
  },
  apply(site, edit) {
    const shared = sharedOf(site, edit.shared)
    if (!shared) throw new EditError('The shared block is no longer in this site.')
    const before = copiesOf(site, shared.id).map(({ copy }) => copy)
    const kept = edit.edit.kind === 'remove' && !edit.edit.discard ? keptOf(site, shared, edit.edit.blocks) : []
    const next = withShared(site, shared, changed(site, shared, edit), edit.ids)
    const result = kept.length === 0 ? next : { ...next, unplaced: [...next.unplaced, ...kept] }
    const whole: CopiesEdit = { kind: 'copies', id: shared.id, shared, blocks: before }
    if (kept.length > 0) return { site: result, inverse: takeBack('delete', [whole], kept) }
    return { site: result, inverse: shortInverse(result, shared, edit, before) ?? whole }
  },
  sample(site, choose) {
    if (site.shared.length === 0) return { kind: 'shared', shared: 'none', edit: { kind: 'remove', blocks: ['none'] } }
    const shared = choose.one(site.shared)
    const scene = alone(site, shared.block).site
    const edit = innerOf({ kind: choose.one(Object.keys(INNER) as Inner['kind'][]) } as Inner).sample(scene, choose)
    const guise = shared.guises.length > 0 && choose.number(2) === 0 ? { guise: choose.one(shared.guises).id } : {}
    return { kind: 'shared', shared: shared.id, ...guise, edit }
  },
}

/**
 * The edit of the same part that takes an edit of values back, so that others may change the copies in between; nothing
 * where it would not give the very copies from before, as where a copy's own words happen to be those that all were given.
 */
function shortInverse(
  site: Site,
  shared: SharedBlock,
  { guise, edit }: SharedEdit,
  before: readonly Block[],
): SharedEdit | undefined {
  if (edit.kind !== 'style' && edit.kind !== 'field' && edit.kind !== 'words') return undefined
  const part = partWith(shared, edit.block)
  if (!part) return undefined
  let back: Inner
  if (edit.kind === 'words') {
    const words = hasWords(part) ? part.words : {}
    back = { ...edit, words: Object.fromEntries(Object.keys(edit.words).map((one) => [one, words[one] ?? []])) }
  } else {
    const worn = guiseOf(shared, guise)
    const differs = worn && Object.hasOwn(worn.parts, part.id) ? worn.parts[part.id] : undefined
    if (edit.kind === 'field') {
      const own =
        part === shared.block && edit.field === 'name' ? shared.name : (part as unknown as Record<string, unknown>)[edit.field]
      back = { ...edit, value: ((worn ? differs?.fields?.[edit.field] : own) ?? null) as FieldEdit['value'] }
    } else {
      const style = worn ? (differs?.style ?? {}) : part.style
      const values = valuesIn(style, edit.scope)
      back = {
        ...edit,
        values: Object.fromEntries(
          Object.keys(edit.values).map((name) => [name, (values as Record<string, unknown> | undefined)?.[name] ?? null]),
        ),
      }
    }
  }
  const inverse: SharedEdit = { kind: 'shared', shared: shared.id, ...(guise === undefined ? {} : { guise }), edit: back }
  try {
    const now = sharedOf(site, shared.id)!
    const again = withShared(site, now, changed(site, now, inverse))
    const copies = copiesOf(again, shared.id)
    const same = isSame(sharedOf(again, shared.id), shared) && copies.every(({ copy }, i) => isSame(copy, before[i]))
    return same ? inverse : undefined
  } catch {
    return undefined
  }
}
