import { useEffect, useRef, useState } from 'react'
import { contrast } from '#core/colour/contrast'
import { hexOfOklch, inSrgb, intoSrgb, mostChroma, type Oklch, oklchOf } from '#core/colour/oklch'
import { NumberField } from '../ui/number-field'

type Axis = 'l' | 'c' | 'h'

const AXES: { axis: Axis; label: string; most: number; step: number; places: number }[] = [
  { axis: 'l', label: 'Lightness', most: 1, step: 0.005, places: 3 },
  { axis: 'c', label: 'Chroma', most: 0.37, step: 0.002, places: 3 },
  { axis: 'h', label: 'Hue', most: 360, step: 1, places: 0 },
]
const STOPS = 24

/** The colours along one slider; what sRGB has not is shown hatched, as nothing. */
function track(colour: Oklch, axis: Axis, most: number): string {
  const stops = Array.from({ length: STOPS + 1 }, (_, i) => {
    const one = { ...colour, [axis]: (most * i) / STOPS }
    return `${inSrgb(one) ? hexOfOklch(one) : 'transparent'} ${(100 * i) / STOPS}%`
  })
  return `linear-gradient(to right, ${stops.join(', ')}), repeating-linear-gradient(135deg, #cdd8c6 0 2px, #f4f7f1 2px 5px)`
}

/** Figures and tracks follow a drag this much later, ms: the pages come first. */
const LATER = 100

type AxesProps = {
  role: string
  hex: string
  /** Hex of the ground that the colour is held against, and what it is called. */
  ground: string
  under: string
  fixed: boolean
  onTry: (hex: string) => void
  onKeep: (hex: string) => void
}

/** A colour by its lightness, chroma and hue, each on a track of what it would become. */
export function ColourAxes({ role, hex: kept, ground, under, fixed, onTry, onKeep }: AxesProps) {
  const [draft, setDraft] = useState<Oklch | null>(null)
  /** The colour that is being dragged, which may be ahead of what is shown of it. */
  const held = useRef<Oklch | null>(null)
  const wait = useRef<ReturnType<typeof setTimeout>>(undefined)
  const wanted = draft ?? oklchOf(kept)
  const { colour, mapped } = intoSrgb(wanted)
  const hex = draft ? hexOfOklch(draft) : kept.toUpperCase()
  useEffect(() => {
    setDraft(null)
    return () => clearTimeout(wait.current)
  }, [kept])

  const drag = (next: Oklch) => {
    held.current = next
    onTry(hexOfOklch(next))
    wait.current ??= setTimeout(() => {
      wait.current = undefined
      setDraft(held.current)
    }, LATER)
  }
  const release = () => {
    const { current } = held
    clearTimeout(wait.current)
    wait.current = undefined
    held.current = null
    if (!current) return
    setDraft(null)
    onKeep(hexOfOklch(current))
  }
  return (
    <div className="grid grid-cols-[88px_1fr] gap-4">
      <div>
        <span className="block h-[66px] border border-line-strong" style={{ background: hex }} />
        <p className="figure mt-1 text-muted">{contrast(hex, ground).toFixed(1)} : 1</p>
        <p className="text-label text-ink-2">on {under}</p>
      </div>
      <div className="space-y-1.5">
        {AXES.map(({ axis, label, most, step, places }) => (
          <div key={axis} className="grid grid-cols-[66px_1fr_66px] items-center gap-2">
            <span className="text-label text-ink-2">{label}</span>
            <input
              type="range"
              aria-label={`${label} of ${role}`}
              min={0}
              max={most}
              step={step}
              key={kept}
              defaultValue={wanted[axis]}
              disabled={fixed}
              className="slider h-4"
              style={{ background: track(colour, axis, most) }}
              onInput={(event) => drag({ ...(held.current ?? wanted), [axis]: Number(event.currentTarget.value) })}
              onPointerUp={release}
              onKeyUp={release}
              onBlur={release}
            />
            <NumberField
              label={`${label}, figure`}
              value={Number(wanted[axis].toFixed(places))}
              least={0}
              most={axis === 'c' ? 0.5 : most}
              step={step}
              onChange={(value) => !fixed && onKeep(hexOfOklch({ ...wanted, [axis]: value }))}
            />
          </div>
        ))}
        <p className={`text-label ${mapped ? 'text-rust' : 'text-ink-2'}`}>
          {mapped
            ? `Chroma ${wanted.c.toFixed(3)} is outside sRGB at this lightness and hue; it is shown with ${colour.c.toFixed(3)}.`
            : `Inside sRGB; chroma goes up to ${mostChroma(wanted.l, wanted.h).toFixed(3)} here.`}
        </p>
      </div>
    </div>
  )
}
