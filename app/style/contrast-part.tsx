import { scaleBand } from 'd3-scale'
import { useState } from 'react'
import { contrast } from '#core/colour/contrast'
import { type Pair, pairsOn, rangesInWords } from '#core/analysis/contrast'
import { type Repair, repairsOf, withColour } from '#core/analysis/contrast-repairs'
import { type Vision, VISIONS } from '#core/colour/vision'
import { Button } from '../ui/button'
import { FaultSign } from '../ui/fault-sign'
import { fixedRoles } from './colour-part'
import { Part, Toggle } from './part'
import { useShown } from './shown'
import { useGuide } from './use-guide'

const ROW = 26
const LABEL = 112
const WIDTH = 600

const places = (count: number) => `${count} ${count === 1 ? 'place' : 'places'}`

/** Every pair of ink and ground that occurs or could, its contrast, and what mends a pair that falls short. */
export function ContrastPart({ number }: { number: number }) {
  const { site, page } = useGuide()
  const { pairs, overPictures } = pairsOn(site, page)
  const [chosen, setChosen] = useState<string | null>(null)
  const short = pairs.filter((one) => one.ratio < one.needed)
  const pair = pairs.find((one) => `${one.ink} ${one.ground}` === chosen)
  return (
    <Part
      number={number}
      title="Contrast"
      note={`${pairs.length} pairs occur on this page, ${short.length === 0 ? 'all of them pass' : `${short.length} ${short.length === 1 ? 'falls' : 'fall'} short`}`}
    >
      <Matrix pairs={pairs} chosen={chosen} onChoose={setChosen} />
      {pair && <Chosen pair={pair} />}
      {overPictures.length > 0 && (
        <p className="mt-2 text-label text-ink-2">
          {overPictures.length} {overPictures.length === 1 ? 'text stands' : 'texts stand'} over a picture or a gradient, where
          contrast differs from place to place.
        </p>
      )}
      <div className="mt-2 space-y-2">
        {short.map((one) => (
          <Short key={`${one.ink} ${one.ground}`} pair={one} />
        ))}
      </div>
      <Visions />
    </Part>
  )
}

type MatrixProps = { pairs: Pair[]; chosen: string | null; onChoose: (key: string | null) => void }

function Matrix({ pairs, chosen, onChoose }: MatrixProps) {
  const { guide } = useGuide()
  const inOrder = (names: Set<string>) => [
    ...guide.colours.map((one) => one.role).filter((one) => names.has(one)),
    ...[...names].filter((name) => name.startsWith('#')),
  ]
  const inks = inOrder(new Set(pairs.map((one) => one.ink)))
  const grounds = inOrder(new Set(pairs.map((one) => one.ground)))
  const hexOf = (name: string) => (name.startsWith('#') ? name : (guide.colours.find((one) => one.role === name)?.hex ?? '#808080'))
  const x = scaleBand(grounds, [LABEL, WIDTH]).paddingInner(0.02)
  const y = scaleBand(inks, [ROW, ROW * (inks.length + 1)]).paddingInner(0.04)
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${ROW * (inks.length + 1)}`}
      className="block w-full select-none"
      role="group"
      aria-label="Contrast of inks, down, on grounds, across"
      data-matrix
    >
      <defs>
        <pattern id="not-there" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="6" height="6" fill="#F4F7F1" />
          <rect width="2" height="6" fill="#E1E8DC" />
        </pattern>
      </defs>
      {grounds.map((ground) => (
        <text key={ground} x={x(ground)! + 2} y={ROW - 9} fontSize="11.5" fill="#16211B">
          {ground.replace(/-/g, ' ')}
        </text>
      ))}
      {inks.map((ink) => (
        <g key={ink}>
          <text x={0} y={y(ink)! + y.bandwidth() / 2 + 4} fontSize="12" fill="#16211B">
            {ink.replace(/-/g, ' ')}
          </text>
          {grounds.map((ground) => {
            const pair = pairs.find((one) => one.ink === ink && one.ground === ground)
            const key = `${ink} ${ground}`
            const ratio = pair?.ratio ?? contrast(hexOf(ink), hexOf(ground))
            const fails = pair ? pair.ratio < pair.needed : false
            const box = { x: x(ground)!, y: y(ink)!, width: x.bandwidth(), height: y.bandwidth() }
            const name = `${ink} on ${ground}: ${ratio.toFixed(1)} to 1${pair ? `, ${pair.needed} needed, ${places(pair.blocks.length)}` : ', does not occur'}`
            return (
              <g
                key={ground}
                {...(pair
                  ? {
                      role: 'button',
                      tabIndex: 0,
                      'aria-label': name,
                      'aria-pressed': chosen === key,
                      'data-pair': key,
                      onClick: () => onChoose(chosen === key ? null : key),
                      onKeyDown: (event: React.KeyboardEvent) => event.key === 'Enter' && onChoose(chosen === key ? null : key),
                      className: 'cursor-pointer',
                    }
                  : {})}
              >
                <title>{name}</title>
                <rect
                  {...box}
                  fill={pair ? hexOf(ground) : 'url(#not-there)'}
                  stroke={chosen === key ? '#EDB700' : fails ? '#A8401F' : '#CDD8C6'}
                  strokeWidth={chosen === key || fails ? 2 : 0.5}
                />
                <text
                  x={box.x + box.width / 2}
                  y={box.y + box.height / 2 + 4}
                  fontSize="11.5"
                  fontFamily="var(--font-mono)"
                  textAnchor="middle"
                  fill={pair ? hexOf(ink) : '#5F7166'}
                >
                  {ratio.toFixed(1)}
                  {fails ? ' ▲' : ''}
                </text>
              </g>
            )
          })}
        </g>
      ))}
    </svg>
  )
}

const verdict = ({ ratio, needed }: Pair): string => {
  if (ratio >= 4.5) return ratio >= 7 ? 'Passes for text of any size, at AA and at AAA.' : 'Passes for text of any size.'
  if (ratio >= 3) return needed === 3 ? 'Passes for large text, and all of this is large.' : 'Passes for large text only.'
  return 'Passes for no text.'
}

function Chosen({ pair }: { pair: Pair }) {
  const { show } = useShown()
  return (
    <p className="mt-2 text-label text-ink-2">
      <span className="figure text-ink">{pair.ratio.toFixed(2)} : 1</span> for {pair.ink} on {pair.ground}, in{' '}
      {places(pair.blocks.length)}. {verdict(pair)} (WCAG 2.2, 1.4.3){' '}
      <button
        type="button"
        className="min-h-6 underline decoration-dotted underline-offset-2"
        onClick={() => show(pair.blocks[0] ?? null)}
      >
        Show the first
      </button>
    </p>
  )
}

/** A pair that falls short, and the colours that mend it. */
function Short({ pair }: { pair: Pair }) {
  const { site, page, guide, set, attempt, forget } = useGuide()
  const { show } = useShown()
  const repairs = repairsOf(pair, site, page, fixedRoles(site))
  const take = ({ role, to }: Repair) => set('colours', withColour(guide, role, to).colours)
  return (
    <div className="grid grid-cols-[16px_1fr] text-label text-rust" data-short={`${pair.ink} ${pair.ground}`}>
      <FaultSign className="mt-1" />
      <div>
        <button
          type="button"
          className="min-h-6 text-left underline decoration-dotted underline-offset-2"
          onClick={() => show(pair.blocks[0] ?? null)}
        >
          {pair.ink} on {pair.ground} has {pair.ratio.toFixed(2)} : 1 in {places(pair.blocks.length)}
          {pair.ranges.length < site.breakpoints.length && `, ${rangesInWords(site, pair.ranges)}`}; {pair.needed} : 1 is needed.
        </button>
        <div className="mt-1 flex flex-wrap gap-1.5">
          {repairs.length === 0 && (
            <span>Both colours are fixed, or none of their hues passes. Put another role in the place of one.</span>
          )}
          {repairs.map((repair) => (
            <Button
              key={`${repair.role} ${repair.to}`}
              className="!h-[26px] !text-label"
              data-repair={repair.role}
              onMouseEnter={() => attempt(withColour(guide, repair.role, repair.to))}
              onMouseLeave={forget}
              onClick={() => take(repair)}
            >
              <span aria-hidden className="h-3.5 w-3.5 border border-line-strong" style={{ background: repair.to }} />
              {repair.role} {repair.to}
              <span className="figure text-muted">{repair.ratio.toFixed(1)}</span>
              {repair.breaks > 0 && <span className="text-rust">breaks {repair.breaks}</span>}
            </Button>
          ))}
        </div>
      </div>
    </div>
  )
}

/** The live page as it is seen without one kind of cone, and in greys. */
function Visions() {
  const { vision, setVision } = useShown()
  return (
    <div className="mt-3 flex flex-wrap items-center gap-1">
      <span className="mr-1 text-label text-ink-2">Page as seen with</span>
      <Toggle label="all colours" pressed={vision === null} onPress={() => setVision(null)} />
      {(Object.keys(VISIONS) as Vision[]).map((one) => (
        <Toggle key={one} label={one} pressed={vision === one} onPress={() => setVision(vision === one ? null : one)} />
      ))}
    </div>
  )
}
