import { scaleLinear, scaleSqrt } from 'd3-scale'
import { useState } from 'react'
import { type Distinct, distinctValues, gatherings, mergeEdits } from '#core/analysis/consistency'
import { VALUE_KINDS, type ValueKind } from '#core/analysis/values-in-use'
import { useSessionStore } from '../session/context'
import { editAll } from '../session/store'
import { Button } from '../ui/button'
import { Choice } from '../ui/choice'
import { Part } from './part'
import { useShown } from './shown'
import { useGuide } from './use-guide'

const WIDTH = 600
const HEIGHT = 58
const NAMES: Record<ValueKind, string> = { colour: 'Colours', size: 'Sizes', space: 'Spaces', corner: 'Corners', face: 'Faces' }

const countOf = ({ uses }: Distinct) => `${uses.length} ${uses.length === 1 ? 'use' : 'uses'}`

/** Every distinct value on the site, how often and where, and what of it could be one. */
export function ConsistencyPart({ number }: { number: number }) {
  const { site } = useGuide()
  const all = VALUE_KINDS.map((kind) => ({ kind, values: distinctValues(site, kind).filter((one) => one.uses.length > 0) }))
  const literals = all.reduce((sum, { values }) => sum + values.filter((one) => one.literal).length, 0)
  return (
    <Part
      number={number}
      title="Consistency"
      note={literals === 0 ? 'every value is a role or a token' : `${literals} literal values besides roles and tokens`}
    >
      {all.map(({ kind, values }) => (
        <Strip key={kind} kind={kind} values={values} />
      ))}
      <Gatherings />
    </Part>
  )
}

/** The values of one kind on a line: tokens above it, literals below, as large as they are frequent. */
function Strip({ kind, values }: { kind: ValueKind; values: Distinct[] }) {
  const [chosen, setChosen] = useState<string | null>(null)
  const value = values.find((one) => one.text === chosen)
  const most = Math.max(1, ...values.map((one) => one.uses.length))
  const [low, high] = [Math.min(0, ...values.map((one) => one.at)), Math.max(1, ...values.map((one) => one.at))]
  // Faces stand on no scale, so they are spread evenly.
  const x = kind === 'face' ? scaleLinear([-1, values.length], [20, WIDTH - 20]) : scaleLinear([low, high], [20, WIDTH - 20])
  const radius = scaleSqrt([0, most], [2.5, 11])
  const place = (one: Distinct) => x(kind === 'face' ? values.indexOf(one) : one.at)
  const literals = values.filter((one) => one.literal).length
  return (
    <div className="mb-2" data-strip={kind}>
      <p className="flex items-baseline gap-2">
        <span>{NAMES[kind]}</span>
        <span className="text-label text-ink-2">
          {values.length} distinct, {values.reduce((sum, one) => sum + one.uses.length, 0)} uses
          {literals > 0 ? `, ${literals} literal` : ''}
        </span>
      </p>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="block w-full" role="group" aria-label={`${NAMES[kind]} in use`}>
        <line x1={0} x2={WIDTH} y1={HEIGHT / 2} y2={HEIGHT / 2} stroke="#B3C1AC" />
        {values.map((one) => (
          <circle
            key={one.text}
            cx={place(one)}
            cy={HEIGHT / 2 + (one.literal ? 14 : -14)}
            r={radius(one.uses.length)}
            fill={one.hex ?? (one.literal ? '#F6DED3' : '#1F6B5C')}
            stroke={chosen === one.text ? '#EDB700' : one.literal ? '#A8401F' : '#16211B'}
            strokeWidth={chosen === one.text ? 3 : 1}
            role="button"
            tabIndex={0}
            aria-label={`${one.text}, ${countOf(one)}`}
            className="cursor-pointer"
            onClick={() => setChosen(chosen === one.text ? null : one.text)}
            onKeyDown={(event) => event.key === 'Enter' && setChosen(chosen === one.text ? null : one.text)}
          >
            <title>{`${one.text}, ${countOf(one)}`}</title>
          </circle>
        ))}
      </svg>
      {value && <Uses kind={kind} value={value} values={values} onMerged={() => setChosen(null)} />}
    </div>
  )
}

/** Where one value stands, and another to put in its place everywhere. */
function Uses({ kind, value, values, onMerged }: { kind: ValueKind; value: Distinct; values: Distinct[]; onMerged: () => void }) {
  const store = useSessionStore()
  const { site } = useGuide()
  const { show } = useShown()
  const properties = [...new Set(value.uses.map((one) => one.property.toLowerCase()))]
  const others = values.filter((one) => one !== value && (kind === 'size' || !one.literal))
  return (
    <div className="mt-1 flex items-center gap-2 text-label text-ink-2">
      <span className="min-w-0 flex-1">
        <span className="figure text-ink">{value.text}</span>, {countOf(value)}, as {properties.join(', ')}.{' '}
        <button
          type="button"
          className="min-h-6 underline decoration-dotted underline-offset-2"
          onClick={() => show(value.uses[0]!.block)}
        >
          Show the first
        </button>
      </span>
      {others.length > 0 && (
        <Choice
          className="w-[150px]"
          label={`In place of ${value.text}`}
          placeholder="Give way to …"
          value={null}
          options={others.map((one) => ({ value: one.text, label: one.text, ...(one.hex ? { note: one.hex } : {}) }))}
          onChange={(to) =>
            editAll(
              store,
              `${to} in place of ${value.text}`,
              mergeEdits(site, { kind, members: [value], target: { name: to, isNew: false, value: to } }),
            ) && onMerged()
          }
        />
      )}
    </div>
  )
}

function Gatherings() {
  const store = useSessionStore()
  const { site } = useGuide()
  const found = VALUE_KINDS.flatMap((kind) => gatherings(site, kind))
  if (found.length === 0) return null
  return (
    <ul className="mt-2 space-y-1">
      {found.map((one) => (
        <li key={`${one.kind} ${one.members[0]!.text}`} className="flex items-center gap-2" data-gathering={one.kind}>
          {one.kind === 'colour' && (
            <span aria-hidden className="flex">
              {one.members.slice(0, 8).map((member) => (
                <span key={member.text} className="h-4 w-3" style={{ background: member.hex }} />
              ))}
            </span>
          )}
          <span className="flex-1 text-label text-ink-2">{one.sentence}</span>
          <Button className="!h-6" onClick={() => editAll(store, `merge into ${one.target.name}`, mergeEdits(site, one))}>
            {one.target.isNew ? 'Promote' : 'Merge'}
          </Button>
        </li>
      ))}
    </ul>
  )
}
