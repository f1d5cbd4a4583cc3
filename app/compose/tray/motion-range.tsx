import type { Block } from '#core/blocks/index'
import { EDGES, isEndless, type Moment, type Motion, type MotionOf, type Range } from '#core/motion/motion'
import { ColumnHead, Finding, Row } from '../../fields/row'
import { useSession } from '../../session/context'
import { blockName } from '#core/blocks/block-name'
import { pageOf } from '../../session/store'
import { LineFields } from './line-fields'
import { Choice } from '../../ui/choice'
import { NumberField } from '../../ui/number-field'
import { type MotionsAccess, useMotions } from '../motion/use-motions'

const OWN = 'own'
const PAGE = 'page'
const EDGE_NAMES = { top: 'Top edge', middle: 'Middle', bottom: 'Bottom edge' } as const

/** What a motion follows, and the lines of the window at which it begins and ends. */
export function MotionRange({ block }: { block: Block }) {
  const motions = useMotions(block)
  const { motion } = motions
  return (
    <div>
      <ColumnHead title="Range" note={motion ? followed(motion) : ''} />
      {motion?.kind === 'scrub' && <ScrubRange motion={motion} motions={motions} />}
      {motion?.kind === 'reveal' && <RevealRange motion={motion} motions={motions} />}
      {motion?.kind === 'parallax' && (
        <Finding well>It moves all the time that it is in sight, so its range follows from where it stands.</Finding>
      )}
      {motion && isEndless(motion) && <Finding well>It goes on wherever the page is scrolled to.</Finding>}
      {motion?.kind === 'opening' && <Finding well>It plays as the page opens, wherever that is scrolled to.</Finding>}
      {!motion && <p className="text-label text-ink-2">Add a motion first.</p>}
    </div>
  )
}

const followed = (motion: Motion): string =>
  motion.kind === 'scrub'
    ? motion.range.of === 'page'
      ? 'of the page'
      : motion.range.of === 'own'
        ? 'of its own box'
        : 'of a section'
    : ''

/** The sections of the page, to be followed. */
function useFollowed(gone: string | undefined) {
  const page = useSession(pageOf)
  const sections = page.sections.map((one, i) => ({ value: one.id, label: `${String(i + 1).padStart(2, '0')} ${blockName(one)}` }))
  return gone !== undefined && !sections.some((one) => one.value === gone)
    ? [...sections, { value: gone, label: 'Deleted' }]
    : sections
}

function RevealRange({ motion, motions }: { motion: MotionOf<'reveal'>; motions: MotionsAccess }) {
  const sections = useFollowed(motion.of)
  return (
    <>
      <Row label="As">
        <Choice
          className="flex-1"
          label="What passes the line"
          value={motion.of ?? OWN}
          options={[{ value: OWN, label: 'Its own top edge' }, ...sections]}
          onChange={(of) => {
            const { of: _, ...rest } = motion
            motions.change(of === OWN ? rest : { ...rest, of })
          }}
        />
      </Row>
      <Row label="Passes">
        <LineFields label="Line" line={motion.line} onChange={(line) => motions.change({ ...motion, line })} />
      </Row>
      <Row label="Plays">
        <Choice
          className="flex-1"
          label="How often it plays"
          value={motion.again ? 'again' : 'once'}
          options={[
            { value: 'once', label: 'Once' },
            { value: 'again', label: 'Each time, both ways' },
          ]}
          onChange={(often) => {
            const { again: _, ...rest } = motion
            motions.change(often === 'again' ? { ...rest, again: true } : rest)
          }}
        />
      </Row>
    </>
  )
}

const WHOLE: { begins: Moment; ends: Moment } = {
  begins: { edge: 'top', line: { value: 100, unit: '%' } },
  ends: { edge: 'bottom', line: { value: 0, unit: '%' } },
}

function ScrubRange({ motion, motions }: { motion: MotionOf<'scrub'>; motions: MotionsAccess }) {
  const { range } = motion
  const of = typeof range.of === 'object' ? range.of.section : range.of
  const sections = useFollowed(typeof range.of === 'object' ? range.of.section : undefined)
  const set = (next: Range) => motions.change({ ...motion, range: next })
  return (
    <>
      <Row label="Follows">
        <Choice
          className="flex-1"
          label="What it follows"
          value={of}
          options={[{ value: OWN, label: 'Its own box' }, { value: PAGE, label: 'Px of the page' }, ...sections]}
          onChange={(next) => {
            if (next === PAGE) set({ of: 'page', begins: 0, ends: 400 })
            else set({ ...(range.of === 'page' ? WHOLE : range), of: next === OWN ? OWN : { section: next } })
          }}
        />
      </Row>
      {range.of === 'page' ? (
        (['begins', 'ends'] as const).map((name) => (
          <Row key={name} label={name === 'begins' ? 'Begins' : 'Ends'}>
            <NumberField
              className="flex-1"
              label={name === 'begins' ? 'Begins' : 'Ends'}
              prefix="at"
              unit="px"
              value={range[name]}
              least={0}
              most={200_000}
              step={10}
              onChange={(px) => set({ ...range, [name]: px })}
            />
          </Row>
        ))
      ) : (
        <>
          <MomentRows name="Begins" moment={range.begins} onChange={(begins) => set({ ...range, begins })} />
          <MomentRows name="Ends" moment={range.ends} onChange={(ends) => set({ ...range, ends })} />
        </>
      )}
    </>
  )
}

type MomentRowsProps = { name: string; moment: Moment; onChange: (moment: Moment) => void }

/** An edge, and the line of the window that it passes. */
const MomentRows = ({ name, moment, onChange }: MomentRowsProps) => (
  <>
    <Row label={name}>
      <Choice
        className="flex-1"
        label={`${name} as which edge passes`}
        value={moment.edge}
        options={EDGES.map((edge) => ({ value: edge, label: EDGE_NAMES[edge] }))}
        onChange={(edge) => onChange({ ...moment, edge })}
      />
    </Row>
    <Row label="passes">
      <LineFields label={`${name}: line`} line={moment.line} onChange={(line) => onChange({ ...moment, line })} />
    </Row>
  </>
)
