import { produce } from 'immer'
import { z } from 'zod'
import { idSchema } from '#core/values/ids'
import { type Block, BLOCK_KINDS, blockSchema, kindOf } from '#core/blocks/index'
import { draftAt, placeOf } from './places'
import { EditError, type EditKind } from './edit'
import { aBlock } from './samples'

type KeysOf<B> = B extends unknown ? keyof B : never
/** Fields that are set by themselves: a block's name, whether it is hidden, and those of its kind but for its words. */
type Field = Exclude<KeysOf<Block>, 'id' | 'kind' | 'copyOf' | 'sharedPart' | 'style' | 'children' | 'words'>
const FIELDS = [
  ...new Set(['name', 'hidden', 'locked', ...BLOCK_KINDS.flatMap((kind) => Object.keys(kindOf(kind).fields.shape))]),
].filter((name) => name !== 'words') as Field[]

const schema = z.strictObject({
  kind: z.literal('field'),
  block: idSchema,
  field: z.enum(FIELDS),
  /** The new value, in the shape that the block's kind wants; `null` takes an optional one away. */
  value: z.json(),
})
export type FieldEdit = z.infer<typeof schema>

/** Sets one field of a block: its name, whether it is hidden, or one of its kind. */
export const fieldEdit: EditKind<FieldEdit> = {
  kind: 'field',
  schema,
  label: (edit) =>
    edit.field === 'hidden'
      ? edit.value
        ? 'hide'
        : 'show'
      : edit.field === 'locked'
        ? edit.value
          ? 'lock'
          : 'unlock'
        : edit.field,
  sets: ({ block, field }) => ({ of: `${block} ${field}`, names: [] }),
  apply(site, edit) {
    const place = placeOf(site, edit.block)
    const { [edit.field as 'name']: old, ...rest } = place.block as unknown as Record<string, z.core.util.JSONType>
    const candidate = edit.value === null ? rest : { ...rest, [edit.field]: edit.value }
    const shallow = 'children' in candidate ? { ...candidate, children: [] } : candidate
    const parsed = blockSchema.safeParse(shallow)
    if (!parsed.success) {
      const [issue] = parsed.error.issues
      throw new EditError(`A ${place.block.kind} cannot take this ${edit.field}: ${issue?.message ?? 'it has another shape'}`)
    }
    const next = produce(site, (draft) => {
      const target = draftAt(draft, place) as unknown as Record<string, unknown>
      if (edit.value === null) delete target[edit.field]
      else target[edit.field] = edit.value
    })
    return {
      site: next,
      inverse: { kind: 'field', block: edit.block, field: edit.field, value: old ?? null },
    }
  },
  sample(site, choose) {
    const field = choose.one(['name', 'hidden', 'level'] as const)
    const value = field === 'name' ? choose.one([`Name ${choose.number(99)}`, null]) : field === 'hidden' ? true : choose.number(7)
    return { kind: 'field', block: aBlock(site, choose), field, value }
  },
}
