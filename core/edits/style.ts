import { produce } from 'immer'
import { z } from 'zod'
import { idSchema } from '#core/values/ids'
import { appliesTo } from '#core/blocks/applies'
import { lengthProblem } from '#core/style/length-range'
import { lengthSchema } from '#core/values/length'
import {
  properties,
  propertyNames,
  propertyOf,
  type PropertyName,
  type Scope,
  scopeSchema,
  type StyleValues,
  valuesIn,
} from '#core/style/registry'
import { draftAt, placeOf } from './places'
import { EditError, type EditKind } from './edit'
import { aBlock } from './samples'

const shape = Object.fromEntries(propertyNames.map((name) => [name, properties[name].schema.nullable().optional()]))

/** Values to set; `null` takes a value away. */
type Changes = { [N in PropertyName]?: StyleValues[N] | null }

const schema = z.strictObject({
  kind: z.literal('style'),
  block: idSchema,
  /** The direction that alone is meant; every direction, if none is named. */
  direction: idSchema.optional(),
  scope: scopeSchema,
  values: z.strictObject(shape) as unknown as z.ZodType<Changes>,
})
export type StyleEdit = z.infer<typeof schema>

const SAMPLES: Changes[] = [
  { span: 5 },
  { span: 4, start: 3 },
  { span: null, spaceAfter: null },
  { spaceAfter: { token: 'space-4' } },
  { opacity: 0.5 },
  { width: { value: 50, unit: '%' } },
  { order: 2 },
  { position: 'sticky', top: { value: 10, unit: 'px' } },
]

/** Checks that a length is one that its property can have. Files of earlier versions may have others. @throws EditError */
function checkRange(name: PropertyName, value: unknown): void {
  const { least, label } = propertyOf(name)
  const length = least === undefined ? undefined : lengthSchema.safeParse(value)
  const problem = length?.success ? lengthProblem(length.data, least) : undefined
  if (problem !== undefined) throw new EditError(`${label} takes ${problem}.`)
}

/** Sets style values of a block in one scope, or takes them away. */
export const styleEdit: EditKind<StyleEdit> = {
  kind: 'style',
  schema,
  label: (edit) =>
    Object.keys(edit.values)
      .map((name) => properties[name as PropertyName].label.toLowerCase())
      .join(', '),
  sets: ({ block, direction, scope, values }) => ({
    of: `${block} ${direction ?? ''} ${JSON.stringify(scope)}`,
    names: Object.keys(values),
  }),
  apply(site, edit) {
    const place = placeOf(site, edit.block)
    const { scope } = edit
    if (typeof scope === 'object' && !site.breakpoints.some((one) => one.id === scope.below && one.below !== null)) {
      throw new EditError(`The breakpoint "${scope.below}" is no longer in this site.`)
    }
    const names = Object.keys(edit.values) as PropertyName[]
    const index = edit.direction === undefined ? -1 : site.directions.findIndex((one) => one.id === edit.direction)
    if (edit.direction !== undefined && index < 0)
      throw new EditError(`The direction "${edit.direction}" is no longer in this site.`)
    const styled = index < 0 ? place.block.style : (site.directions[index]!.restyled[edit.block] ?? {})
    const before = valuesIn(styled, scope)
    const old: Record<string, unknown> = {}
    for (const name of names) {
      if (!appliesTo(name, place.block.kind))
        throw new EditError(`A ${place.block.kind} has no ${properties[name].label.toLowerCase()}.`)
      checkRange(name, edit.values[name])
      old[name] = before?.[name] ?? null
    }
    const next = produce(site, (draft) => {
      const style = index < 0 ? draftAt(draft, place).style : (draft.directions[index]!.restyled[edit.block] ??= {})
      const target = { ...before } as Record<string, unknown>
      for (const name of names) {
        if (edit.values[name] === null) delete target[name]
        else target[name] = edit.values[name]
      }
      const values = Object.keys(target).length > 0 ? (target as StyleValues) : undefined
      if (typeof scope === 'object') {
        const below = { ...style.below }
        if (values) below[scope.below] = values
        else delete below[scope.below]
        if (Object.keys(below).length > 0) style.below = below
        else delete style.below
      } else if (values) style[scope] = values
      else delete style[scope]
      if (index >= 0 && Object.keys(style).length === 0) delete draft.directions[index]!.restyled[edit.block]
    })
    return { site: next, inverse: { ...edit, values: old as Changes } }
  },
  sample: (site, choose) => ({
    kind: 'style',
    block: aBlock(site, choose),
    scope: choose.one<Scope>(['base', 'hover', 'group', ...site.breakpoints.slice(1).map((one) => ({ below: one.id }))]),
    values: choose.one(SAMPLES),
    ...(choose.number(3) === 0 ? { direction: choose.one(site.directions).id } : {}),
  }),
}
