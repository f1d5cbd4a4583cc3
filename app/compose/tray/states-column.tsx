import { useState } from 'react'
import type { Link } from '#core/values/link'
import { statesFor } from '#core/blocks/block-states'
import type { Block, BlockOf } from '#core/blocks/index'
import { isState, statesOfStyle, type StyleValues } from '#core/style/registry'
import { type BlockState, STATE_NAMES } from '#core/style/states'
import { hrefSchema } from '#core/values/href'
import { Choice } from '../../ui/choice'
import { NumberField } from '../../ui/number-field'
import { useSessionStore, useSession } from '../../session/context'
import { blockName, edit } from '../../session/store'
import { StatesStrip } from '../states/states-strip'
import { CurveRow } from './curve-row'
import { MIXED } from './fields'
import { useField } from '../../fields/use-field'
import { ColumnHead, Finding, Row } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'

/** Where the block leads, and what changes on hover and focus. */
export function StatesColumn({ style }: { style: StyleAccess }) {
  const store = useSessionStore()
  const scope = useSession((state) => state.scope)
  const buttons = useSession((state) => state.session.site.guide.buttons)
  const { block } = style.place
  const leads = block.kind === 'button' || block.kind === 'link' || block.kind === 'picture'
  const ancestors = style.place.ancestors
  const states = statesFor(block, ancestors)
  const now = isState(scope) ? scope : null
  const set = statesOfStyle(block.style)
  const one = style.places.length === 1
  const buttonsOnly = style.places.every((place) => place.block.kind === 'button')
  const look = useField(style.places, 'look', (each) => each.kind === 'button')
  return (
    <div>
      <ColumnHead
        title={leads && one ? 'States and links' : 'States'}
        note={
          !one
            ? `${style.places.length} blocks`
            : set.length === 0
              ? 'as at rest'
              : set.map(([state]) => STATE_NAMES[state].toLowerCase()).join(', ')
        }
      />
      {leads && one && <LinkRows block={block} />}
      {buttonsOnly && (
        <Row label="Kind">
          <Choice
            className="flex-1"
            label="Kind of button"
            placeholder={MIXED}
            value={(look.value as string | undefined) ?? null}
            options={buttons.map((one) => ({ value: one.name, label: one.name }))}
            onChange={look.set}
          />
        </Row>
      )}
      <div className="my-1 grid grid-cols-3 gap-1" role="group" aria-label="State to edit">
        {([null, ...states] as const).map((state) => (
          <button
            key={state ?? 'rest'}
            type="button"
            aria-pressed={now === state}
            className="h-[26px] truncate rounded-2 border border-line-strong bg-field px-1 aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-on-ink"
            onClick={() => store.setState({ scope: state ?? 'base' })}
          >
            {state ? STATE_NAMES[state] : 'At rest'}
            {state && block.style[state] && <span aria-label=", set"> ·</span>}
          </button>
        ))}
      </div>
      {style.has('underline') && (
        <Row label="Underline" style={style} names={['underline']}>
          <Choice
            className="flex-1"
            label="Underline"
            placeholder={style.isMixed('underline') ? MIXED : 'As usual'}
            value={style.get('underline') === undefined ? null : style.get('underline') ? 'yes' : 'no'}
            options={[
              { value: 'yes', label: 'Underlined' },
              { value: 'no', label: 'None' },
            ]}
            onChange={(value) => style.set({ underline: value === 'yes' })}
          />
        </Row>
      )}
      {style.has('lift') && (
        <Row label="Lift" style={style} names={['lift']}>
          <NumberField
            className="flex-1"
            label="Lift"
            unit="px up"
            placeholder={style.isMixed('lift') ? MIXED : '0'}
            value={style.get('lift') ?? null}
            least={-200}
            most={200}
            onClear={() => style.set({ lift: null })}
            onChange={(lift) => style.set({ lift })}
          />
        </Row>
      )}
      {now && (
        <>
          {style.has('zoom') && (
            <Row label="Zoom" style={style} names={['zoom']}>
              <NumberField
                className="flex-1"
                label="Zoom in this state"
                unit="×"
                placeholder={style.isMixed('zoom') ? MIXED : '1'}
                value={style.get('zoom') ?? null}
                least={1}
                most={4}
                step={0.05}
                onClear={() => style.set({ zoom: null })}
                onChange={(zoom) => style.set({ zoom })}
              />
            </Row>
          )}
          <Row label="Opacity" style={style} names={['opacity']}>
            <NumberField
              className="flex-1"
              label="Opacity in this state"
              unit="%"
              placeholder={MIXED}
              value={style.isMixed('opacity') ? null : Math.round((style.get('opacity') ?? 1) * 100)}
              least={0}
              most={100}
              step={5}
              onChange={(percent) => style.set({ opacity: percent / 100 })}
            />
          </Row>
          <Finding well>{WHEN[now]} Ink, fill, edge colour, shadow and filters in the other columns set this state too.</Finding>
        </>
      )}
      {set.length > 0 && <ChangeOfState block={block} />}
      {one && now && <StatesStrip place={style.place} states={states} />}
      {one && (block.kind === 'button' || block.kind === 'field') && states.includes('disabled') && (
        <label className="mt-1 flex min-h-6 items-center gap-2">
          <input
            type="checkbox"
            checked={block.disabled === true}
            onChange={(event) =>
              edit(store, { kind: 'field', block: block.id, field: 'disabled', value: event.target.checked ? true : null })
            }
          />
          {block.kind === 'button' ? 'Cannot be pressed' : 'Cannot be filled in'}
        </label>
      )}
    </div>
  )
}

const WHEN: Record<BlockState, string> = {
  around: 'While the pointer or the focus is in its card or group.',
  hover: 'Under the pointer, and with the focus of the keyboard.',
  focus: 'With the focus of the keyboard, over what hover sets.',
  pressed: 'While it is pressed.',
  current: 'A link to the page that it stands on.',
  disabled: 'Where it cannot be used.',
}

/** How long a change of state takes, and what is shown where nothing can be hovered. */
function ChangeOfState({ block }: { block: Block }) {
  const store = useSessionStore()
  const set = (values: Pick<StyleValues, 'transition'> | { transition?: null; touch?: 'hover' | null }, gesture?: string) =>
    edit(store, { kind: 'style', block: block.id, scope: 'base', values }, gesture)
  const { transition, touch, opacity } = block.style.base ?? {}
  const now = { duration: 0.15, ...transition }
  const ms = (name: 'duration' | 'delay', title: string) => (
    <NumberField
      className="flex-1"
      label={title}
      unit="ms"
      placeholder="0"
      value={now[name] === undefined ? null : Math.round(now[name] * 1000)}
      least={0}
      most={10_000}
      step={50}
      onChange={(value) => set({ transition: { ...now, [name]: value / 1000 } })}
    />
  )
  const hoverOnly = opacity === 0 && [block.style.hover, block.style.around].some((values) => (values?.opacity ?? 0) > 0)
  return (
    <div data-sets="transition touch" className="mt-1 border-t border-line pt-1">
      <Row label="Takes">{ms('duration', 'How long the change takes')}</Row>
      <Row label="Waits">{ms('delay', 'How long the change waits')}</Row>
      <CurveRow
        label="the change"
        easing={now.easing ?? 'ease'}
        onChange={(easing, gesture) => set({ transition: { ...now, easing } }, gesture)}
      />
      {hoverOnly && touch === undefined && (
        <Finding well={false}>
          Only hover shows it, and fingers cannot hover.{' '}
          <button type="button" className="min-h-6 underline" onClick={() => set({ touch: 'hover' })}>
            Show it where nothing is hovered
          </button>
        </Finding>
      )}
      {touch && (
        <Finding well>
          Where nothing is hovered it is shown as on hover.{' '}
          <button type="button" className="min-h-6 underline" onClick={() => set({ touch: null })}>
            As at rest instead
          </button>
        </Finding>
      )}
    </div>
  )
}

const ADDRESS = 'address'
const NOWHERE = 'nowhere'

function valueOf(link: Link | undefined): string {
  if (!link) return NOWHERE
  return 'href' in link ? ADDRESS : link.section === undefined ? link.page : `${link.page}#${link.section}`
}

function LinkRows({ block }: { block: BlockOf<'button' | 'link' | 'picture'> }) {
  const store = useSessionStore()
  const pages = useSession((state) => state.session.site.pages)
  const [problem, setProblem] = useState('')
  const value = valueOf(block.link)
  const set = (link: Link | null) => edit(store, { kind: 'field', block: block.id, field: 'link', value: link })
  const options = [
    { value: NOWHERE, label: 'Nowhere' },
    { value: ADDRESS, label: 'An address' },
    ...pages.flatMap((page) => [
      { value: page.id, label: page.name, note: `/${page.address}` },
      ...page.sections.map((section) => ({
        value: `${page.id}#${section.id}`,
        label: `${page.name}: ${blockName(section)}`,
      })),
    ]),
  ]
  const choose = (next: string) => {
    if (next === NOWHERE) set(null)
    else if (next === ADDRESS) set({ href: 'https://' })
    else {
      const [page, section] = next.split('#')
      set(section === undefined ? { page: page! } : { page: page!, section })
    }
  }
  const take = (href: string) => {
    const parsed = hrefSchema.safeParse(href)
    setProblem(parsed.success ? '' : parsed.error.issues[0]!.message)
    if (parsed.success) set({ href })
  }
  const gone = block.link && 'page' in block.link && !options.some((one) => one.value === value)
  return (
    <>
      <Row label="Leads to">
        <Choice className="flex-1" label="Leads to" value={value} options={options} onChange={choose} />
      </Row>
      {block.link && 'href' in block.link && (
        <Row label="Address">
          <input
            key={block.link.href}
            aria-label="Address"
            className="figure h-[26px] min-w-0 flex-1 rounded-2 border border-line-strong bg-field px-2"
            defaultValue={block.link.href}
            onBlur={(event) => take(event.target.value)}
            onKeyDown={(event) => event.key === 'Enter' && take(event.currentTarget.value)}
          />
        </Row>
      )}
      {problem !== '' && <Finding well={false}>{problem}</Finding>}
      {gone && <Finding well={false}>It leads to a page or section that was deleted. Choose another.</Finding>}
      {!block.link && block.kind !== 'picture' && (
        <Finding well={false}>It leads nowhere. Choose a page, a section or an address.</Finding>
      )}
    </>
  )
}
