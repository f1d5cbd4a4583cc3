import { short } from '#core/values/short'
import { Fragment } from 'react'
import type { Block } from '#core/blocks/index'
import { MOST_STATES } from '#core/motion/motion'
import { ORIGINS } from '#core/motion/followed'
import { rolesMoved } from '#core/motion/pose'
import { CLIP_SIDES, MOST_MOVED, type Pose, type Way } from '#core/motion/pose-schema'
import type { Colour } from '#core/values/colour'
import { ColourField } from '../../fields/colour-field'
import { ColumnHead, Finding } from '../../fields/row'
import { Button } from '../../ui/button'
import { Choice } from '../../ui/choice'
import { NumberField } from '../../ui/number-field'
import { useMotions } from '../motion/use-motions'
import { useOfferedGuide } from '../../session/context'

/** One part of a pose as a figure: its unit, its bounds, and what it is at rest. */
type Part = {
  label: string
  unit: string
  least: number
  most: number
  step: number
  rest: number
  of: (pose: Pose) => number | undefined
  to: (pose: Pose, value: number) => Pose
}

const way = (name: 'across' | 'down', unit: Way['unit'], label: string): Part => ({
  label,
  unit,
  least: -5000,
  most: 5000,
  step: 10,
  rest: 0,
  of: (pose) => (pose[name]?.unit === unit ? pose[name].value : undefined),
  to: (pose, value) => ({ ...pose, [name]: { value, unit } }),
})

const PARTS: (Part & { name: keyof Pose })[] = [
  {
    name: 'scale',
    label: 'Scale',
    unit: '×',
    least: 0,
    most: 10,
    step: 0.1,
    rest: 1,
    of: (pose) => pose.scale,
    to: (pose, scale) => ({ ...pose, scale }),
  },
  {
    name: 'opacity',
    label: 'Opacity',
    unit: '%',
    least: 0,
    most: 100,
    step: 5,
    rest: 100,
    of: (pose) => (pose.opacity === undefined ? undefined : Math.round(pose.opacity * 1000) / 10),
    to: (pose, value) => ({ ...pose, opacity: value / 100 }),
  },
  { name: 'down', ...way('down', 'px', 'Down') },
  { name: 'across', ...way('across', 'px', 'Across') },
  {
    name: 'turn',
    label: 'Turn',
    unit: '°',
    least: -1080,
    most: 1080,
    step: 5,
    rest: 0,
    of: (pose) => pose.turn,
    to: (pose, turn) => ({ ...pose, turn }),
  },
  {
    name: 'blur',
    label: 'Blur',
    unit: 'px',
    least: 0,
    most: 100,
    step: 1,
    rest: 0,
    of: (pose) => pose.blur,
    to: (pose, blur) => ({ ...pose, blur }),
  },
]

type Shown = { title: string; pose: Pose; set: (pose: Pose, gesture?: string) => void }

/** How the block looks at each state of a motion, side by side. */
export function MotionPoses({ block }: { block: Block }) {
  const motions = useMotions(block)
  const { motion } = motions
  if (!motion) return <ColumnHead title="From, to" />
  if (motion.kind === 'parallax' || motion.kind === 'strip')
    return (
      <>
        <ColumnHead title="From, to" />
        <Finding well>
          {motion.kind === 'strip' ? 'A strip has no states: its blocks pass.' : 'Parallax has no states: it follows its speed.'}
        </Finding>
      </>
    )
  const states: Shown[] =
    motion.kind === 'scrub'
      ? motion.states.map((state, index) => ({
          title: `${short(state.at)} %`,
          pose: state.pose,
          set: (pose, gesture) =>
            motions.change({ ...motion, states: motion.states.map((one, i) => (i === index ? { ...one, pose } : one)) }, gesture),
        }))
      : motion.kind === 'loop'
        ? [{ title: 'to', pose: motion.to, set: (to, gesture) => motions.change({ ...motion, to }, gesture) }]
        : [{ title: 'from', pose: motion.from, set: (from, gesture) => motions.change({ ...motion, from }, gesture) }]
  const shown = states.slice(0, 4)
  const columns = { gridTemplateColumns: `56px repeat(${Math.max(2, shown.length)}, minmax(0, 1fr))` }
  return (
    <div>
      <ColumnHead
        title="From, to"
        note={motion.kind === 'scrub' ? `${states.length} states` : motion.kind === 'loop' ? 'from its rest' : 'to its rest'}
      />
      <div className="grid items-center gap-x-1.5 gap-y-1" style={columns}>
        <span />
        {shown.map((one, i) => (
          <span key={i} className="text-label text-ink-2">
            {shown.length === 2 ? ['from', 'to'][i] : one.title}
          </span>
        ))}
        {shown.length === 1 && <span className="text-label text-ink-2">{motion.kind === 'loop' ? 'rest' : 'to'}</span>}
        {PARTS.map((part) => (
          <PartRow key={part.name} part={part} states={shown} />
        ))}
        <span className="text-ink-2">Clip</span>
        {shown.map((one, i) => (
          <ClipField key={i} state={one} />
        ))}
        {shown.length === 1 && <span className="text-muted">whole</span>}
        <ColourRows states={shown} />
        <span className="text-ink-2">About</span>
        <Choice
          className="min-w-0"
          label="Grows and turns about"
          value={motion.origin ?? 'middle'}
          options={[
            { value: 'middle', label: 'its middle' },
            ...Object.keys(ORIGINS).map((side) => ({ value: side, label: `its ${side}` })),
          ]}
          onChange={(side) => {
            const { origin: _, ...rest } = motion
            motions.change(side === 'middle' ? rest : { ...motion, origin: side as keyof typeof ORIGINS })
          }}
        />
      </div>
      {motion.kind === 'scrub' && (
        <div className="mt-1.5 flex gap-1.5">
          <Button
            disabled={motion.states.length >= MOST_STATES}
            onClick={() => {
              const [a, b] = motion.states.slice(-2)
              const middle = { at: (a!.at + b!.at) / 2, pose: b!.pose }
              motions.change({ ...motion, states: [...motion.states.slice(0, -1), middle, b!] })
            }}
          >
            + State
          </Button>
          {motion.states.length > 2 && (
            <Button onClick={() => motions.change({ ...motion, states: [...motion.states.slice(0, -2), motion.states.at(-1)!] })}>
              Take one out
            </Button>
          )}
        </div>
      )}
      <Finding well>With reduced motion, without a script and on paper: at rest.</Finding>
    </div>
  )
}

function PartRow({ part, states }: { part: (typeof PARTS)[number]; states: readonly Shown[] }) {
  return (
    <>
      <span className="text-ink-2">{part.label}</span>
      {states.map((state, i) => (
        <NumberField
          key={i}
          className="min-w-0"
          label={`${part.label}, ${states.length === 2 ? ['from', 'to'][i] : state.title}`}
          unit={part.unit}
          placeholder={String(part.rest)}
          value={part.of(state.pose) ?? null}
          least={part.least}
          most={part.most}
          step={part.step}
          onClear={() => {
            const { [part.name]: _, ...rest } = state.pose
            state.set(rest)
          }}
          onChange={(value) => state.set(part.to(state.pose, value))}
        />
      ))}
      {states.length === 1 && (
        <span className="figure text-muted">
          {part.rest} {part.unit}
        </span>
      )}
    </>
  )
}

function ClipField({ state }: { state: Shown }) {
  const { clip } = state.pose
  return (
    <Choice
      className="min-w-0"
      label={`Clip, ${state.title}`}
      placeholder="whole"
      value={clip && clip.share > 0 ? clip.from : null}
      options={[
        { value: 'whole', label: 'whole' },
        ...CLIP_SIDES.map((side) => ({ value: side as string, label: `from ${side}` })),
      ]}
      onChange={(side) => {
        const from = CLIP_SIDES.find((one) => one === side)
        const { clip: _, ...rest } = state.pose
        state.set(from ? { ...rest, clip: { from, share: 100 } } : rest)
      }}
    />
  )
}

/** Colours of the guide that are others at each state, for the block and all that is in it. */
function ColourRows({ states }: { states: readonly Shown[] }) {
  const guide = useOfferedGuide()
  const roles = rolesMoved(states.map((one) => one.pose))
  const set = (state: Shown, role: string, colour: Colour | null, gesture?: string) => {
    const { colours, ...rest } = state.pose
    const { [role]: _, ...others } = colours ?? {}
    const next = colour ? { ...others, [role]: colour } : others
    state.set(Object.keys(next).length > 0 ? { ...rest, colours: next } : rest, gesture)
  }
  const free = guide.colours.filter((one) => !roles.includes(one.role))
  return (
    <>
      {roles.map((role) => (
        <Fragment key={role}>
          <span className="truncate text-ink-2" title={`Colour ${role}`}>
            {role}
          </span>
          {states.map((state, i) => (
            <ColourField
              key={i}
              label={`Colour ${role}, ${states.length === 2 ? ['from', 'to'][i] : state.title}`}
              placeholder="Its own"
              value={state.pose.colours?.[role]}
              onChange={(colour, gesture) => set(state, role, colour, gesture)}
            />
          ))}
          {states.length === 1 && <span className="truncate text-muted">its own</span>}
        </Fragment>
      ))}
      <span className="text-ink-2">Colour</span>
      <Choice
        className="min-w-0"
        label="Move a colour of the guide"
        placeholder={roles.length >= MOST_MOVED ? `${MOST_MOVED} at most` : '+ Colour'}
        value={null}
        options={roles.length >= MOST_MOVED ? [] : free.map((one) => ({ value: one.role, label: one.role }))}
        onChange={(role) => {
          const last = states.at(-1)!
          set(last, role, { role: free.find((one) => one.role !== role)?.role ?? role })
        }}
      />
      {states.slice(1).map((_, i) => (
        <span key={i} />
      ))}
      {states.length === 1 && <span />}
    </>
  )
}
