import { statesFor } from '#core/blocks/block-states'
import { isState, statesOfStyle } from '#core/style/registry'
import { type BlockState, STATE_NAMES } from '#core/style/states'
import { Choice } from '../../ui/choice'
import { NumberField } from '../../ui/number-field'
import { useSessionStore, useSession } from '../../session/context'
import { edit } from '../../session/store'
import { StatesStrip } from '../states/states-strip'
import { ChangeOfState } from './change-of-state'
import { MIXED } from './fields'
import { OpacityRow } from './opacity-row'
import { LinkRows } from './link-rows'
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
      <div className="my-1 flex flex-wrap gap-1" role="group" aria-label="State to edit">
        {([null, ...states] as const).map((state) => (
          <button
            key={state ?? 'rest'}
            type="button"
            aria-pressed={now === state}
            className="h-[26px] shrink-0 grow whitespace-nowrap rounded-2 border border-line-strong bg-field px-2 aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-on-ink"
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
          <OpacityRow style={style} />
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
  group: 'While the pointer or the focus is in its card or group.',
  hover: 'Under the pointer, and with the focus of the keyboard.',
  focus: 'With the focus of the keyboard, over what hover sets.',
  pressed: 'While it is pressed.',
  current: 'A link to the page that it stands on.',
  disabled: 'Where it cannot be used.',
}
