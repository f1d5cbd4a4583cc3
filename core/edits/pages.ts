import { produce } from 'immer'
import { z } from 'zod'
import { idSchema } from '#core/values/ids'
import { addressSchema, type Page, pageSchema, type Site } from '#core/site/schema'
import { EditError, type EditKind } from './edit'
import type { Edit } from './index'
import { takeBack, wordsToKeep } from './keep-words'
import { checkNew } from './structure'

function indexOfPage(site: Site, id: string): number {
  const index = site.pages.findIndex((page) => page.id === id)
  if (index < 0) throw new EditError(`The page "${id}" is no longer in this site.`)
  return index
}

function checkAddress(site: Site, address: string, except?: string): void {
  const taken = site.pages.find((page) => page.address === address && page.id !== except)
  if (taken) throw new EditError(`The page "${taken.name}" already has the address "/${address}".`)
}

const addSchema = z.strictObject({ kind: z.literal('page-add'), index: z.int().min(0), page: pageSchema })
export type PageAddEdit = z.infer<typeof addSchema>

export const pageAddEdit: EditKind<PageAddEdit, Edit> = {
  kind: 'page-add',
  schema: addSchema,
  label: (edit) => `add page ${edit.page.name}`,
  apply(site, edit) {
    if (site.pages.some((page) => page.id === edit.page.id)) throw new EditError(`The id "${edit.page.id}" is taken.`)
    checkAddress(site, edit.page.address)
    checkNew(site, edit.page.sections)
    const next = produce(site, (draft) => void draft.pages.splice(edit.index, 0, edit.page))
    return { site: next, inverse: { kind: 'page-remove', page: edit.page.id, discard: true } }
  },
}

const removeSchema = z.strictObject({ kind: z.literal('page-remove'), page: idSchema, discard: z.literal(true).optional() })
export type PageRemoveEdit = z.infer<typeof removeSchema>

export const pageRemoveEdit: EditKind<PageRemoveEdit, Edit> = {
  kind: 'page-remove',
  schema: removeSchema,
  label: () => 'delete page',
  apply(site, edit) {
    const index = indexOfPage(site, edit.page)
    if (site.pages.length === 1) throw new EditError('A site keeps at least one page.')
    const page = site.pages[index]!
    const kept = edit.discard ? [] : page.sections.flatMap((section) => wordsToKeep(site, page, section, section))
    const next = produce(site, (draft) => {
      draft.pages.splice(index, 1)
      draft.unplaced.push(...kept)
    })
    const back: Edit = { kind: 'page-add', index, page }
    return { site: next, inverse: kept.length === 0 ? back : takeBack('delete page', [back], kept) }
  },
}

const fieldSchema = z.strictObject({
  kind: z.literal('page-field'),
  page: idSchema,
  values: pageSchema
    .pick({ name: true, title: true, description: true })
    .extend({ address: addressSchema, unlisted: z.boolean() })
    .partial(),
})
export type PageFieldEdit = z.infer<typeof fieldSchema>

export const pageFieldEdit: EditKind<PageFieldEdit, Edit> = {
  kind: 'page-field',
  schema: fieldSchema,
  label: (edit) => `page ${Object.keys(edit.values).join(', ')}`,
  apply(site, edit) {
    const index = indexOfPage(site, edit.page)
    const page = site.pages[index]!
    if (edit.values.address !== undefined) checkAddress(site, edit.values.address, edit.page)
    const keys = Object.keys(edit.values) as (keyof Page)[]
    const old = Object.fromEntries(keys.map((key) => [key, page[key] ?? false]))
    const next = produce(site, (draft) => {
      Object.assign(draft.pages[index]!, edit.values)
      if (!draft.pages[index]!.unlisted) delete draft.pages[index]!.unlisted
    })
    return { site: next, inverse: { kind: 'page-field', page: edit.page, values: old } }
  },
}

const moveSchema = z.strictObject({ kind: z.literal('page-move'), page: idSchema, index: z.int().min(0) })
export type PageMoveEdit = z.infer<typeof moveSchema>

/** Gives a page another place in the order of the site, which navigation follows. */
export const pageMoveEdit: EditKind<PageMoveEdit, Edit> = {
  kind: 'page-move',
  schema: moveSchema,
  label: () => 'order of the pages',
  apply(site, edit) {
    const index = indexOfPage(site, edit.page)
    const next = produce(site, (draft) => {
      const [page] = draft.pages.splice(index, 1)
      draft.pages.splice(Math.min(edit.index, draft.pages.length), 0, page!)
    })
    return { site: next, inverse: { kind: 'page-move', page: edit.page, index } }
  },
}
