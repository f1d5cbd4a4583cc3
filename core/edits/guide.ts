import { produce } from 'immer'
import { z } from 'zod'
import { idSchema } from '#core/values/ids'
import type { Site } from '#core/site/schema'
import { type StyleGuide, styleGuideSchema } from '#core/guide/style-guide'
import { EditError, type EditKind } from './edit'
import { sampleHex } from './samples'

type Part = keyof StyleGuide
const shape = styleGuideSchema.shape

const change = <P extends Part>(part: P) =>
  z.strictObject({
    kind: z.literal('guide'),
    part: z.literal(part),
    value: shape[part] as unknown as z.ZodType<StyleGuide[P]>,
    /** The direction whose guide is meant; the current one, if none is named. */
    direction: idSchema.optional(),
  })

const schema = z.discriminatedUnion('part', [
  change('colours'),
  change('faces'),
  change('scale'),
  change('leading'),
  change('types'),
  change('baseline'),
  change('spaces'),
  change('corners'),
  change('light'),
  change('shadows'),
  change('buttons'),
  change('looks'),
])
export type GuideEdit = z.infer<typeof schema>

const LABELS: Record<Part, string> = {
  colours: 'colour roles',
  faces: 'faces',
  scale: 'type scale',
  leading: 'leading',
  types: 'type roles',
  baseline: 'baseline',
  spaces: 'spaces',
  corners: 'corners',
  light: 'light',
  shadows: 'shadows',
  buttons: 'kinds of button',
  looks: 'looks',
}

/** What names something that the guide has not got, in a sentence; `undefined` if all is there. */
export function danglingIn({ types, faces, buttons }: StyleGuide): string | undefined {
  const type = types.find((one) => !faces.some(({ name }) => name === one.face))
  if (type) return `The type role ${type.role} is set in the face “${type.face}”, which is not in the guide.`
  const button = buttons.find((one) => !types.some(({ role }) => role === one.type))
  return button && `The ${button.name} button is set in the type role “${button.type}”, which is not in the guide.`
}

const nameOf = (item: object): string => ('role' in item ? String(item.role) : 'name' in item ? String(item.name) : '')

/** The name that two things of one list share. */
function doubled(value: unknown): string | undefined {
  if (!Array.isArray(value)) return undefined
  const names = value.map((one) => nameOf(one as object))
  return names.find((name, i) => names.indexOf(name) !== i)
}

/** The guide of a direction in a draft or a site. */
function holderOf(site: Site, id: string | undefined): { guide?: StyleGuide | undefined } {
  if (id === undefined) return site
  const direction = site.directions.find((one) => one.id === id)
  if (!direction) throw new EditError(`The direction "${id}" is no longer in this site.`)
  return direction.guide ? direction : site
}

/** Sets one part of a style guide, so that two tabs may change different parts. */
export const guideEdit: EditKind<GuideEdit> = {
  kind: 'guide',
  schema,
  label: (edit) => LABELS[edit.part],
  sets: ({ part, direction }) => ({ of: `${part} ${direction ?? ''}`, names: [] }),
  apply(site, edit) {
    const before = holderOf(site, edit.direction).guide!
    const twice = doubled(edit.value)
    if (twice) throw new EditError(`There are two ${LABELS[edit.part]} called “${twice}”. Give one another name.`)
    const dangling = danglingIn({ ...before, [edit.part]: edit.value })
    if (dangling) throw new EditError(dangling)
    const next = produce(site, (draft) => {
      const holder = holderOf(draft as Site, edit.direction)
      holder.guide = { ...before, [edit.part]: edit.value }
    })
    return { site: next, inverse: { ...edit, value: before[edit.part] } as GuideEdit }
  },
  sample(site, choose) {
    const { colours } = site.guide
    const changed = choose.one(colours)
    return {
      kind: 'guide',
      part: 'colours',
      value: colours.map((one) => (one === changed ? { ...one, hex: sampleHex(choose) } : one)),
      ...(choose.number(2) === 0 ? { direction: choose.one(site.directions).id } : {}),
    }
  },
}

/** The edits that bring a guide to another, part by part. */
export const guideEdits = (before: StyleGuide, after: StyleGuide, direction?: string): GuideEdit[] => {
  // Faces and types first where they are added to, since others name them.
  const order: Part[] = [
    'colours',
    'faces',
    'types',
    'scale',
    'leading',
    'baseline',
    'spaces',
    'corners',
    'light',
    'shadows',
    'buttons',
    'looks',
  ]
  return order.flatMap((part) =>
    JSON.stringify(before[part]) === JSON.stringify(after[part])
      ? []
      : [{ kind: 'guide', part, value: after[part], ...(direction === undefined ? {} : { direction }) } as GuideEdit],
  )
}
