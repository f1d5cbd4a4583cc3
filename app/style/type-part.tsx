import { useState } from 'react'
import type { StyleGuide, TypeRole } from '#core/guide/style-guide'
import { growthPer100 } from '#core/type/fluid'
import { familyOf, measuresOf } from '#core/type/families'
import { charactersPerLine, MEASURE, pxAt, reachesDouble, zoomedBy200 } from '#core/type/measure'
import { leadingOf, sizeOf } from '#core/guide/type-roles'
import { ratioName, RATIOS } from '#core/type/scale'
import { Finding } from '../fields/row'
import { Choice } from '../ui/choice'
import { NumberField } from '../ui/number-field'
import { NumberIn } from './fields'
import { Heading, Part } from './part'
import { useShown } from './shown'
import { TypeChart } from './type-chart'
import { TypeEditor } from './type-editor'
import { useGuide } from './use-guide'

const rounded = (px: number | undefined) => (px === undefined ? '–' : String(Math.round(px * 10) / 10))

/** Type roles: the scale that their sizes come from, and what they come to on the page. */
export function TypePart({ number }: { number: number }) {
  const { guide, site } = useGuide()
  const [chosen, setChosen] = useState<string | null>('heading-1')
  const type = guide.types.find((one) => one.role === chosen)
  const { scale } = guide
  const names = guide.faces.map((face) => familyOf(face.family, site.fonts)?.name ?? face.family)
  return (
    <Part
      number={number}
      title="Type"
      note={`${[...new Set(names)].join(' with ')}, ratio ${scale.ratio.narrow} at ${scale.at.narrow} and ${scale.ratio.wide} at ${scale.at.wide}`}
    >
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-4">
        <TypeChart chosen={chosen} onChoose={setChosen} />
        <Roles chosen={chosen} onChoose={setChosen} />
      </div>
      {type && <TypeEditor key={type.role} type={type} />}
      {type && <Findings type={type} />}
      <ScaleFields />
    </Part>
  )
}

function Roles({ chosen, onChoose }: { chosen: string | null; onChoose: (role: string) => void }) {
  const { guide, site } = useGuide()
  return (
    <ul className="relative max-h-[206px] divide-y divide-line overflow-y-auto border-y border-line" aria-label="Type roles">
      {guide.types.map((type) => {
        const size = sizeOf(guide, type)
        return (
          <li key={type.role}>
            <button
              type="button"
              data-type={type.role}
              aria-pressed={chosen === type.role}
              className={`flex w-full items-baseline justify-between gap-2 px-1.5 py-[3px] text-left ${chosen === type.role ? 'bg-wash' : 'hover:bg-line/40'}`}
              onClick={() => onChoose(type.role)}
            >
              <span>{type.role.replace('-', ' ')}</span>
              <span className="figure text-ink-2">
                {rounded(pxAt(size, site.views.at(-1)!))} to {rounded(pxAt(size, site.views[0]!))}
              </span>
            </button>
          </li>
        )
      })}
    </ul>
  )
}

/** What one role comes to: px at each view, growth, characters per line, lines, and the zoom test. */
function Findings({ type }: { type: TypeRole }) {
  const { guide, site } = useGuide()
  const { measured, show } = useShown()
  const size = sizeOf(guide, type)
  const family = familyOf(guide.faces.find((one) => one.name === type.face)?.family ?? '', site.fonts)
  const { views } = site
  const zoom = zoomedBy200(size, views[0]!)
  const doubles = views.every((width) => reachesDouble(size, width))
  const boxes = views.map((width) => ({ width, list: (measured?.types.get(width) ?? []).filter((one) => one.role === type.role) }))
  const isText = !/^(display|heading|eyebrow|button|label|figure)/.test(type.role)
  const measures = boxes.flatMap(({ width, list }) => {
    // One line says nothing of how long lines become; only text of several lines is judged.
    const several = list.filter((one) => one.lines > 1)
    if (several.length === 0 || !family) return []
    const widest = several.reduce((a, b) => (b.width > a.width ? b : a))
    return [
      {
        width,
        block: widest.block,
        count: charactersPerLine(widest.width, widest.size, measuresOf(family).averageAdvance, type.tracking),
      },
    ]
  })
  const long = measures.find((one) => one.count > MEASURE.most)
  const most = boxes
    .filter(({ list }) => list.length > 0)
    .map(({ width, list }) => `${Math.max(...list.map((one) => one.lines))} at ${width}`)
  return (
    <div data-type-findings>
      <Finding well>
        {views.map((width) => rounded(pxAt(size, width))).join(', ')} px at {views.join(', ')}.{' '}
        {'fluid' in size && `Grows ${Number(growthPer100(size.fluid).toFixed(2))} px per 100 px. `}
        Leading {views.map((width) => leadingOf(guide, type, pxAt(size, width) ?? 16).toFixed(2)).join(', ')}.
      </Finding>
      {most.length > 0 && <Finding well>Lines, at most: {most.join(', ')} px.</Finding>}
      {isText && measures.length > 0 && (
        <Finding well={!long}>
          Characters per line, at most: {measures.map((one) => `${Math.round(one.count)} at ${one.width}`).join(', ')} px.{' '}
          {long && (
            <>
              {MEASURE.least} to {MEASURE.most} are read with ease: make the size larger, or{' '}
              <button
                type="button"
                className="min-h-6 underline decoration-dotted underline-offset-2"
                onClick={() => show(long.block)}
              >
                the text narrower
              </button>
              .
            </>
          )}
        </Finding>
      )}
      {zoom !== undefined && (
        <Finding well={doubles}>
          {doubles
            ? `At 200% zoom it is ${zoom.toFixed(2)} times as large, and twice as large within the zoom that browsers have (WCAG 2.2, 1.4.4).`
            : `At 200% zoom it is only ${zoom.toFixed(2)} times as large, and no zoom doubles it (WCAG 2.2, 1.4.4). Bring its two sizes nearer to each other.`}
        </Finding>
      )}
    </div>
  )
}

type Ends = { narrow: number; wide: number }

/** The scale, at a narrow and at a wide width, and the leading at both ends of it. */
function ScaleFields() {
  const { guide, set } = useGuide()
  const { scale, leading } = guide
  const put = (part: keyof StyleGuide['scale'], end: keyof Ends, value: number) => {
    const next = { ...scale, [part]: { ...scale[part], [end]: value } }
    if (next.at.narrow < next.at.wide) set('scale', next)
  }
  const row = (end: keyof Ends) => (
    <div className="grid grid-cols-[58px_repeat(3,minmax(0,1fr))_minmax(0,1.3fr)] items-center gap-1.5 py-0.5">
      <span className="text-label text-ink-2">{end === 'narrow' ? 'Narrow' : 'Wide'}</span>
      <NumberField
        label={`Width, ${end}`}
        unit="px"
        prefix="at"
        value={scale.at[end]}
        least={200}
        most={4000}
        whole
        step={5}
        onChange={(value) => put('at', end, value)}
      />
      <NumberField
        label={`Base, ${end}`}
        unit="px"
        value={scale.base[end]}
        least={6}
        most={60}
        step={0.5}
        onChange={(value) => put('base', end, value)}
      />
      <NumberField
        label={`Ratio, ${end}`}
        prefix="×"
        value={scale.ratio[end]}
        least={1}
        most={2}
        step={0.01}
        onChange={(value) => put('ratio', end, value)}
      />
      <Choice
        label={`Ratio by name, ${end}`}
        placeholder="own ratio"
        value={ratioName(scale.ratio[end]) ?? null}
        options={RATIOS.map((one) => ({ value: one.name, label: one.name, note: one.ratio.toFixed(3) }))}
        onChange={(name) => put('ratio', end, Math.round(RATIOS.find((one) => one.name === name)!.ratio * 1000) / 1000)}
      />
    </div>
  )
  return (
    <>
      <Heading>Scale</Heading>
      {row('narrow')}
      {row('wide')}
      <div className="mt-1.5 flex gap-3">
        <NumberIn
          label="Leading at 16 px"
          width="w-[120px]"

          value={leading.small}
          least={0.8}
          most={3}
          step={0.02}
          onChange={(small) => set('leading', { ...leading, small })}
        />
        <NumberIn
          label="Leading at 76 px"
          width="w-[120px]"

          value={leading.large}
          least={0.7}
          most={2}
          step={0.02}
          onChange={(large) => set('leading', { ...leading, large })}
        />
        <p className="flex-1 self-end text-label text-ink-2">Between them leading falls as size grows; roles may have their own.</p>
      </div>
    </>
  )
}
