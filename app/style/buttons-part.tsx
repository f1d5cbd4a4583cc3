import { Plus, Trash2 } from 'lucide-react'
import { useState } from 'react'
import { SAMPLE } from '#core/type/sample'
import { contrast } from '#core/colour/contrast'
import { neededRatio } from '#core/analysis/contrast'
import { stateHex } from '#core/render/look-rules'
import type { ButtonKind, State, StateColours } from '#core/guide/looks'
import { walkPage } from '#core/site/tree'
import { plainText } from '#core/values/words'
import { Finding } from '../fields/row'
import { Button, IconButton } from '../ui/button'
import { ChoiceIn, ColourIn, LengthIn, NumberIn } from './fields'
import { freeName } from './colour-part'
import { IconChoice } from './icon-choice'
import { Named, Part } from './part'
import { type KindState, StatesGrid } from './states-grid'
import { useGuide } from './use-guide'

const UNDERLINES = [
  { value: 'never', label: 'Never' },
  { value: 'hover', label: 'On hover' },
  { value: 'always', label: 'Always' },
] as const

/** Kinds of button, their states side by side, and what the chosen one is made of. */
export function ButtonsPart({ number }: { number: number }) {
  const { guide, site, page, set } = useGuide()
  const [chosen, setChosen] = useState<KindState | null>(null)
  const button = guide.buttons.find((one) => one.name === chosen?.kind)
  const words = [...walkPage(page)]
    .flatMap((block) => (block.kind === 'button' ? [plainText(block.words[site.language] ?? [])] : []))
    .find((one) => one !== '')
  const least = Math.min(...guide.buttons.map((one) => one.hit))
  const add = () => {
    const from = button ?? guide.buttons[0]!
    const name = freeName(
      'own',
      guide.buttons.map((one) => one.name),
    )
    if (set('buttons', [...guide.buttons, { ...from, name }])) setChosen({ kind: name, state: 'rest' })
  }
  return (
    <Part number={number} title="Buttons" note={`${guide.buttons.length} kinds, 6 states, ${least} px least`}>
      <StatesGrid site={site} words={(words ?? SAMPLE.call).slice(0, 20)} chosen={chosen} onChoose={setChosen} />
      <Button className="mt-1.5 !h-6" disabled={guide.buttons.length >= 12} onClick={add}>
        <Plus size={13} strokeWidth={1.5} /> Kind{button ? ` like ${button.name}` : ''}
      </Button>
      {button && chosen && <KindEditor key={button.name} button={button} state={chosen.state} onGone={() => setChosen(null)} />}
    </Part>
  )
}

function KindEditor({ button, state, onGone }: { button: ButtonKind; state: State; onGone: () => void }) {
  const { guide, site, set } = useGuide()
  const change = (values: { [K in keyof ButtonKind]?: ButtonKind[K] | undefined }, gesture?: string) => {
    const next = Object.fromEntries(
      Object.entries({ ...button, ...values }).filter(([, value]) => value !== undefined),
    ) as ButtonKind
    set(
      'buttons',
      guide.buttons.map((one) => (one.name === button.name ? next : one)),
      gesture,
    )
  }
  const used = site.pages
    .flatMap((page) => [...walkPage(page)])
    .filter((block) => block.kind === 'button' && block.look === button.name).length
  return (
    <div className="mt-2 border border-line-strong bg-field p-3" data-kind-editor={button.name}>
      <StateFields
        look={button[state] ?? {}}
        name={`${button.name}, ${state}`}
        onChange={(look, gesture) => change({ [state]: look }, gesture)}
        withRing={state !== 'rest'}
      />
      <StateFinding button={button} state={state} />
      <div className="mt-2 flex flex-wrap gap-2 border-t border-line pt-2">
        <ChoiceIn
          label="Type role"
          name="Type role of the button"
          width="w-[104px]"

          value={button.type}
          options={guide.types.map((one) => ({ value: one.role, label: one.role.replace('-', ' ') }))}
          onChange={(type) => change({ type })}
        />
        <BoxFields box={button} onChange={change} />
        <NumberIn
          label="Hit, least"
          name="Least height that can be hit"
          width="w-[72px]"

          unit="px"
          value={button.hit}
          least={24}
          most={120}
          onChange={(hit) => change({ hit })}
        />
        <ChoiceIn
          label="Underline"
          name="Underline of the button"
          width="w-[92px]"

          value={button.underline ?? 'never'}
          options={UNDERLINES}
          onChange={(underline) => change({ underline: underline === 'never' ? undefined : underline })}
        />
        <Named label="Icon">
          <IconChoice icon={button.icon} onChange={(icon) => change({ icon })} />
        </Named>
        <IconButton
          label={
            used > 0 ? `${used} ${used === 1 ? 'button is' : 'buttons are'} of the kind ${button.name}` : `Take away ${button.name}`
          }
          className="ml-auto self-end"
          disabled={used > 0 || guide.buttons.length === 1}
          onClick={() =>
            set(
              'buttons',
              guide.buttons.filter((one) => one.name !== button.name),
            ) && onGone()
          }
        >
          <Trash2 size={14} strokeWidth={1.5} />
        </IconButton>
      </div>
    </div>
  )
}

type StateFieldsProps = {
  look: StateColours
  name: string
  withRing?: boolean
  onChange: (look: StateColours, gesture?: string) => void
}

/** The colours of one state; what is not set is as at rest. */
export function StateFields({ look, name, withRing = false, onChange }: StateFieldsProps) {
  const put = (part: keyof StateColours, value: StateColours[keyof StateColours] | null, gesture?: string) => {
    const { [part]: _, ...rest } = look
    onChange(value === null || value === undefined ? rest : ({ ...rest, [part]: value } as StateColours), gesture)
  }
  const colour = (part: 'fill' | 'ink' | 'edge' | 'ring', label: string) => (
    <ColourIn
      label={label}
      name={`${label} of ${name}`}
      width="w-[122px]"
      value={look[part]}
      onChange={(value, gesture) => put(part, value, gesture)}
    />
  )
  return (
    <div className="flex flex-wrap gap-2">
      {colour('fill', 'Fill')}
      {colour('ink', 'Ink')}
      {colour('edge', 'Edge')}
      {withRing && colour('ring', 'Ring')}
      {withRing && (
        <NumberIn
          label="Opacity"
          name={`Opacity of ${name}`}
          width="w-[72px]"

          unit="%"
          placeholder="100"
          value={look.opacity === undefined ? null : Math.round(look.opacity * 100)}
          least={0}
          most={100}
          onClear={() => put('opacity', null)}
          onChange={(value) => put('opacity', value / 100)}
        />
      )}
    </div>
  )
}

type Box = Pick<ButtonKind, 'edgeWidth' | 'corner' | 'paddingBlock' | 'paddingInline'>

/** Edge, corners and padding of a box. */
export function BoxFields({ box, onChange }: { box: Box; onChange: (values: Partial<Box>) => void }) {
  return (
    <>
      <NumberIn
        label="Edge"
        name="Width of the edge"
        width="w-[64px]"

        unit="px"
        value={box.edgeWidth}
        least={0}
        most={12}
        step={0.5}
        onChange={(edgeWidth) => onChange({ edgeWidth })}
      />
      <LengthIn
        label="Corners"
        width="w-[92px]"

        tokens="corners"
        fluid={false}
        units={['px', 'rem', '%']}
        value={box.corner}
        onChange={(corner) => corner && onChange({ corner })}
      />
      <LengthIn
        label="Padding, down"
        width="w-[92px]"

        tokens="spaces"
        units={['px', 'rem', 'em']}
        value={box.paddingBlock}
        onChange={(paddingBlock) => paddingBlock && onChange({ paddingBlock })}
      />
      <LengthIn
        label="Padding, across"
        width="w-[92px]"

        tokens="spaces"
        units={['px', 'rem', 'em']}
        value={box.paddingInline}
        onChange={(paddingInline) => paddingInline && onChange({ paddingInline })}
      />
    </>
  )
}

/** The contrast of a state's words with its own fill. */
function StateFinding({ button, state }: { button: ButtonKind; state: State }) {
  const { guide } = useGuide()
  const look = { ...button.rest, ...(state === 'rest' ? {} : button.hover), ...button[state] }
  const [ink, fill] = [stateHex(look, 'ink', guide), stateHex(look, 'fill', guide)]
  if (!ink || !fill || (look.fill?.alpha ?? 1) < 1) return null
  if (state === 'disabled') return <Finding well>What is disabled needs no contrast (WCAG 2.2, 1.4.3).</Finding>
  const ratio = contrast(ink, fill)
  const needed = neededRatio(16, guide.types.find((one) => one.role === button.type)?.weight ?? 400)
  return (
    <Finding well={ratio >= needed}>
      {ratio.toFixed(1)} : 1 for the words on their fill; {needed} : 1 is needed.
    </Finding>
  )
}
