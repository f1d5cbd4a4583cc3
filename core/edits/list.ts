import { produce } from 'immer'
import { z } from 'zod'
import { boardCardSchema } from '#core/site/board'
import { excuseSchema } from '#core/site/excuse'
import { linkedFileSchema } from '#core/site/linked-file'
import { ownFontSchema } from '#core/type/own-font'
import { idSchema } from '#core/values/ids'
import { unplacedSchema } from '#core/site/passage'
import type { Site } from '#core/site/schema'
import { EditError, type EditKind } from './edit'

const items = {
  unplaced: unplacedSchema,
  board: boardCardSchema,
  fonts: ownFontSchema,
  files: linkedFileSchema,
  excuses: excuseSchema,
}
type List = keyof typeof items

const change = <L extends List>(list: L) =>
  z.strictObject({
    kind: z.literal('list'),
    list: z.literal(list),
    /** Ids of items to take out. */
    drop: z.array(idSchema).max(5000),
    /** Items to put in: in the place of the one with the same id, else at an index, else last. */
    put: z.array(z.strictObject({ at: z.int().min(0).optional(), item: items[list] })).max(5000),
  })

const schema = z.discriminatedUnion('list', [
  change('unplaced'),
  change('board'),
  change('fonts'),
  change('files'),
  change('excuses'),
])
export type ListEdit = z.infer<typeof schema>

const names: Record<List, string> = {
  unplaced: 'unplaced words',
  board: 'references',
  fonts: 'fonts',
  files: 'files',
  excuses: 'excuses',
}

/** Puts items into one of the site's lists and takes others out, so that two tabs may change different ones. */
export const listEdit: EditKind<ListEdit> = {
  kind: 'list',
  schema,
  label: (edit) => names[edit.list],
  sets: ({ list, drop, put }) =>
    drop.length > 0 || put.some((one) => one.at !== undefined) ? undefined : { of: list, names: put.map((one) => one.item.id) },
  apply(site, edit) {
    const before = (site[edit.list] ?? []) as readonly { id: string }[]
    const places = new Map(before.map((item, index) => [item.id, index]))
    for (const id of edit.drop) if (!places.has(id)) throw new EditError(`“${id}” is no longer among the ${names[edit.list]}.`)
    const dropped = new Set(edit.drop)
    const list = before.filter((item) => !dropped.has(item.id))
    const added: string[] = []
    const back: { at?: number; item: { id: string } }[] = []
    for (const { at, item } of edit.put) {
      const index = list.findIndex((one) => one.id === item.id)
      if (index >= 0) {
        back.push({ item: list[index]! })
        list[index] = item
        continue
      }
      if (dropped.has(item.id)) throw new EditError(`“${item.id}” is taken out and put in at once.`)
      list.splice(Math.min(at ?? list.length, list.length), 0, item)
      added.push(item.id)
    }
    const lost = edit.drop.map((id) => ({ at: places.get(id)!, item: before[places.get(id)!]! }))
    lost.sort((a, b) => a.at - b.at)
    const next = produce(site, (draft) => {
      // A list that a site need not have is taken out with its last item.
      if ((edit.list === 'files' || edit.list === 'excuses') && list.length === 0) delete draft[edit.list]
      else (draft as Record<List, unknown>)[edit.list] = list
    })
    return { site: next, inverse: { kind: 'list', list: edit.list, drop: added, put: [...back, ...lost] } as ListEdit }
  },
  sample(site, choose) {
    const known = site.board.length > 0 && choose.number(2) === 0 ? choose.one(site.board).id : undefined
    const card = { id: known ?? choose.id(), kind: 'note', width: 200, height: 100, caption: '', text: 'Hm.' } as const
    const drop = known === undefined && site.board.length > 0 && choose.number(3) === 0 ? [choose.one(site.board).id] : []
    return { kind: 'list', list: 'board', drop, put: [{ item: { ...card, x: choose.number(900), y: 0 } }] }
  },
}

/** The edit that changes the unplaced words. */
export const unplacedList = (put: Site['unplaced'], drop: string[] = []): ListEdit => ({
  kind: 'list',
  list: 'unplaced',
  drop,
  put: put.map((item) => ({ item })),
})
