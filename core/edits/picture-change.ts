import { produce } from 'immer'
import { z } from 'zod'
import { pictureSchema } from '#core/picture/picture'
import { idSchema } from '#core/values/ids'
import { EditError, type EditKind } from './edit'

const { name, hash, type, width, height, bytes, focal, safe, tags } = pictureSchema.shape
const schema = z.strictObject({
  kind: z.literal('picture-change'),
  picture: idSchema,
  /** New values; `null` takes one away that a picture may be without. The file is replaced by naming all of it. */
  values: z
    .strictObject({
      name: name.optional(),
      file: z.strictObject({ hash, type, width, height, bytes }).optional(),
      focal: focal.nullable(),
      safe: safe.nullable(),
      tags: tags.nullable(),
    })
    .partial(),
})
export type PictureChangeEdit = z.infer<typeof schema>
type Values = PictureChangeEdit['values']

const KEEPS = ['focal', 'safe', 'tags'] as const

/** Changes what is known of a picture, or puts another file in its place wherever it is shown. */
export const pictureChangeEdit: EditKind<PictureChangeEdit> = {
  kind: 'picture-change',
  schema,
  sets: ({ picture, values }) => ({ of: `picture ${picture}`, names: Object.keys(values) }),
  label: ({ values }) => (values.file ? 'replace picture' : `${Object.keys(values)[0] ?? 'nothing'} of picture`),
  apply(site, edit) {
    const at = site.pictures.findIndex((one) => one.id === edit.picture)
    const before = site.pictures[at]
    if (!before) throw new EditError(`The picture "${edit.picture}" is no longer in this site.`)
    const inverse: Values = {}
    if (edit.values.name !== undefined) inverse.name = before.name
    if (edit.values.file) inverse.file = fileOf(before)
    for (const one of KEEPS) if (edit.values[one] !== undefined) Object.assign(inverse, { [one]: before[one] ?? null })
    const next = produce(site, (draft) => {
      const picture = draft.pictures[at]!
      const { name, file, ...rest } = edit.values
      if (name !== undefined) picture.name = name
      if (file) {
        delete picture.bytes
        Object.assign(picture, file)
      }
      for (const [key, value] of Object.entries(rest)) {
        if (value === null) delete picture[key as (typeof KEEPS)[number]]
        else if (value !== undefined) Object.assign(picture, { [key]: value })
      }
    })
    return { site: next, inverse: { kind: 'picture-change', picture: edit.picture, values: inverse } }
  },
  sample: (site, choose) => ({
    kind: 'picture-change',
    picture: site.pictures.length > 0 ? choose.one(site.pictures).id : 'none',
    values: choose.one<Values>([
      { name: 'another.jpg' },
      { focal: { x: choose.number(100), y: choose.number(100) } },
      { focal: null },
      { tags: ['sky', 'night'] },
      { safe: { left: 10, top: 10, width: 40, height: 40 } },
      { file: { hash: 'b'.repeat(64), type: 'image/png', width: 40, height: 30 } },
    ]),
  }),
}

const fileOf = ({ hash, type, width, height, bytes }: z.infer<typeof pictureSchema>): NonNullable<Values['file']> => ({
  hash,
  type,
  width,
  height,
  ...(bytes === undefined ? {} : { bytes }),
})
