import { contrastOfBlock, rangesInWords } from '#core/analysis/contrast'
import { type Block, typeRoleOf } from '#core/blocks/index'
import type { Length } from '#core/values/length'
import { fluidAt, growthPer100 } from '#core/type/fluid'
import { familyOf } from '#core/type/families'
import { pxAt } from '#core/type/measure'
import { leadingOf, typeOf } from '#core/guide/type-roles'
import { Choice } from '../../ui/choice'
import { NumberField } from '../../ui/number-field'
import { useSession } from '../../session/context'
import { useFrames } from '../../live/frames'
import { pageOf } from '../../session/store'
import { later } from '../../ui/later'
import { useField } from '../../fields/use-field'
import { HeadingIconRows } from './heading-icon-rows'
import { ChoiceOf, LengthOf, MIXED, NumberOf } from './fields'
import { ColumnHead, Finding, Row } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'

const OverPictureFindings = later(async () => (await import('./over-picture')).OverPictureFindings)

const ALIGN = [
  { value: 'start', label: 'Start' },
  { value: 'center', label: 'Centre' },
  { value: 'end', label: 'End' },
] as const
/** Where the lines stand in a box that is higher than they are. */
const WORDS_AT = [
  { value: 'start', label: 'The top' },
  { value: 'center', label: 'The middle' },
  { value: 'end', label: 'The bottom' },
] as const
const LINES = [
  { value: 'wrap', label: 'Free' },
  { value: 'balance', label: 'Balance' },
  { value: 'pretty', label: 'Pretty' },
  { value: 'nowrap', label: 'One line' },
] as const
const CASES = [
  { value: 'as-typed', label: 'Typed' },
  { value: 'capitals', label: 'Capitals' },
  { value: 'small-capitals', label: 'Small caps' },
] as const
const SLOPES = [
  { value: 'upright', label: 'Upright' },
  { value: 'italic', label: 'Italic' },
] as const

/** How the words are set: type role, face, weight, size, leading and lines. */
export function TypeColumn({ style }: { style: StyleAccess }) {
  const { block } = style.place
  const site = useSession((state) => state.session.site)
  const { guide } = site
  const roleName = typeRoleOf(block, guide)
  const many = style.places.length > 1
  const takesRole = (one: Block) => 'words' in one && one.kind !== 'button'
  const roles = new Set(style.places.map((one) => typeRoleOf(one.block, guide)))
  const type = useField(style.places, 'type', takesRole)
  // Several roles have no figure in common.
  const role = roles.size > 1 ? undefined : typeOf(guide, roleName)
  const face = style.get('face') ?? role?.face
  const family = familyOf(guide.faces.find((one) => one.name === face)?.family ?? '', site.fonts)
  return (
    <div>
      <ColumnHead title="Type" note={roles.size > 1 ? `${roles.size} roles` : roleName.replace('-', ' ')} />
      {style.places.every((one) => takesRole(one.block)) && (
        <Row label="Role">
          <Choice
            className="flex-1"
            label="Type role"
            placeholder={MIXED}
            value={roles.size > 1 ? null : roleName}
            options={guide.types.map((one) => ({ value: one.role, label: one.role.replace('-', ' ') }))}
            onChange={type.set}
          />
        </Row>
      )}
      <Row label="Face" style={style} names={['face', 'weight']}>
        <Choice
          className="flex-1"
          label="Face"
          placeholder={MIXED}
          value={style.isMixed('face') || roles.size > 1 ? null : (face ?? null)}
          options={guide.faces.map((one) => ({
            value: one.name,
            label: familyOf(one.family, site.fonts)?.name ?? one.family,
            note: one.name,
          }))}
          onChange={(value) => style.set({ face: value })}
        />
        <NumberField
          className="w-[62px]"
          label="Weight"
          placeholder={MIXED}
          value={style.isMixed('weight') ? null : (style.get('weight') ?? role?.weight ?? null)}
          least={family?.weights[0] ?? 100}
          most={family?.weights[1] ?? 900}
          step={20}
          whole
          onClear={() => style.set({ weight: null })}
          onChange={(weight) => style.set({ weight })}
        />
      </Row>
      <Row label="Size" style={style} names={['size']}>
        <LengthOf style={style} name="size" units={['px', 'rem', 'em']} fallback={role?.size} />
      </Row>
      <Row label="Leading" style={style} names={['leading', 'tracking']}>
        <NumberOf
          style={style}
          name="leading"
          least={0.7}
          most={3}
          step={0.02}
          fallback={role && leadingOf(guide, role, pxAt(role.size, site.views[0]!) ?? 16)}
        />
        <NumberOf style={style} name="tracking" unit="em" least={-0.2} most={1} step={0.005} fallback={role?.tracking} />
      </Row>
      {!many && <TypeFindings style={style} role={role} />}
      <div className="mt-2 border-t border-line pt-1">
        <Row label="Lines" style={style} names={['lines', 'textAlign']}>
          <ChoiceOf style={style} name="lines" options={LINES} fallback={role?.lines ?? 'wrap'} />
          <ChoiceOf style={style} name="textAlign" placeholder="Start" options={ALIGN} />
        </Row>
        <Row label="Words at" style={style} names={['wordsAt']}>
          <ChoiceOf style={style} name="wordsAt" options={WORDS_AT} fallback="start" />
        </Row>
        <Row label="Letters" style={style} names={['letterCase', 'italic']}>
          <ChoiceOf style={style} name="letterCase" options={CASES} fallback={role?.letterCase ?? 'as-typed'} />
          <ChoiceOf style={style} name="italic" options={SLOPES} fallback={role?.italic ? 'italic' : 'upright'} />
        </Row>
        <HeadingIconRows style={style} />
      </div>
    </div>
  )
}

type Role = { size: Length; weight: number }

function TypeFindings({ style, role }: { style: StyleAccess; role: Role | undefined }) {
  const site = useSession((state) => state.session.site)
  const size = style.get('size') ?? role?.size
  const { block } = style.place
  const page = useSession(pageOf)
  const found = contrastOfBlock(site, page, block.id)
  return (
    <>
      {size && 'fluid' in size && (
        <Finding well>
          {site.views.map((width) => Math.round(fluidAt(size.fluid, width) * 10) / 10).join(', ')} px at {site.views.join(', ')}.
          Grows {Number(growthPer100(size.fluid).toFixed(2))} px per 100 px.
        </Finding>
      )}
      <LineCounts block={block} />
      {style.places.length === 1 && <OverPictureFindings place={style.place} style={style} />}
      {found && (
        <Finding well={found.ratio >= found.needed}>
          Contrast {found.ratio.toFixed(1)} : 1 on its ground
          {found.ranges.length === site.breakpoints.length ? '' : `, ${rangesInWords(site, found.ranges)}`}.{' '}
          {found.ratio >= found.needed
            ? ''
            : `At this size ${found.needed} : 1 is needed (WCAG 2.2, 1.4.3). Choose a darker or lighter ink.`}
        </Finding>
      )}
    </>
  )
}

/** How many lines the words take in each view, counted in the views themselves. */
function LineCounts({ block }: { block: Block }) {
  const frames = useFrames()
  useSession((state) => state.layout)
  const counts = [...frames.values()].flatMap(({ frame, width }) => {
    const element = frame.find(block.id)
    if (!element || (element.textContent ?? '') === '') return []
    const range = frame.document.createRange()
    range.selectNodeContents(element)
    const tops = new Set([...range.getClientRects()].filter((box) => box.width > 0).map((box) => Math.round(box.bottom)))
    return [{ width, lines: tops.size }]
  })
  if (counts.length === 0) return null
  return (
    <Finding well>{counts.map(({ width, lines }) => `${lines} ${lines === 1 ? 'line' : 'lines'} at ${width}`).join(', ')}.</Finding>
  )
}
