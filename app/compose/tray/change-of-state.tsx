import type { Block } from '#core/blocks/index'
import type { StyleValues } from '#core/style/registry'
import { Finding, Row } from '../../fields/row'
import { useSessionStore } from '../../session/context'
import { edit } from '../../session/store'
import { NumberField } from '../../ui/number-field'
import { CurveRow } from './curve-row'

/** How long a change of state takes, and what is shown where nothing can be hovered. */
export function ChangeOfState({ block }: { block: Block }) {
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
  const hoverOnly = opacity === 0 && [block.style.hover, block.style.group].some((values) => (values?.opacity ?? 0) > 0)
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
