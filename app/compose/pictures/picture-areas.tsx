import { short } from '#core/values/short'
import { type PointerEvent, useRef, useState } from 'react'
import type { Part, Picture, Point } from '#core/picture/picture'
import { followPointer } from '../follow-pointer'

type Changes = { focal?: Point | null; safe?: Part | null }

const percent = (value: number) => Math.min(100, Math.max(0, Number(value.toFixed(1))))

/** The focal point and the safe area of a picture: press for the one, drag for the other. */
export function PictureAreas({ picture, onChange }: { picture: Picture; onChange: (changes: Changes) => void }) {
  const surface = useRef<HTMLDivElement>(null)
  const [drawn, setDrawn] = useState<Part>()
  const safe = drawn ?? picture.safe
  const { focal } = picture
  const ratio = picture.width / picture.height

  const begin = (event: PointerEvent) => {
    event.preventDefault()
    const bounds = surface.current!.getBoundingClientRect()
    const at = (x: number, y: number): Point => ({
      x: percent(((x - bounds.left) / bounds.width) * 100),
      y: percent(((y - bounds.top) / bounds.height) * 100),
    })
    const from = at(event.clientX, event.clientY)
    let area: Part | undefined
    followPointer({
      move(moved) {
        const to = at(moved.clientX, moved.clientY)
        const [left, top] = [Math.min(from.x, to.x), Math.min(from.y, to.y)]
        const [width, height] = [Math.abs(from.x - to.x), Math.abs(from.y - to.y)]
        area = width >= 3 && height >= 3 ? { left, top, width: percent(width), height: percent(height) } : undefined
        setDrawn(area)
      },
      end(release) {
        setDrawn(undefined)
        if (!release) return
        if (area) onChange({ safe: area })
        else onChange({ focal: from })
      },
    })
  }
  const nudge = (x: number, y: number) => {
    const now = focal ?? { x: 50, y: 50 }
    onChange({ focal: { x: percent(now.x + x), y: percent(now.y + y) } })
  }
  const arrows: Record<string, [number, number]> = { ArrowLeft: [-2, 0], ArrowRight: [2, 0], ArrowUp: [0, -2], ArrowDown: [0, 2] }
  return (
    <>
      <div
        ref={surface}
        role="application"
        tabIndex={0}
        aria-label={`Focal point${focal ? ` ${focal.x} % across and ${focal.y} % down` : ' not set'}. Arrow keys move it; drag for the safe area.`}
        title="Press for the focal point, drag for the area that every crop keeps whole"
        className="relative mx-auto cursor-crosshair touch-none select-none overflow-hidden bg-ground"
        style={{ aspectRatio: ratio, width: `min(100%, ${240 * ratio}px)` }}
        onPointerDown={begin}
        onKeyDown={(event) => {
          const by = arrows[event.key]
          if (!by) return
          event.preventDefault()
          event.stopPropagation()
          nudge(...by)
        }}
      >
        <img
          alt=""
          draggable={false}
          src={`/pictures/${picture.hash}${picture.type === 'image/svg+xml' ? '' : '?w=640'}`}
          className="block h-full w-full object-fill"
        />
        {safe && (
          <span
            aria-hidden
            className="pointer-events-none absolute border-2 border-yarrow shadow-[0_0_0_999px_rgb(19_38_43/0.45)]"
            style={{ left: `${safe.left}%`, top: `${safe.top}%`, width: `${safe.width}%`, height: `${safe.height}%` }}
          />
        )}
        {focal && (
          <span
            aria-hidden
            className="pointer-events-none absolute h-3.5 w-3.5 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-yarrow bg-ink/60 outline outline-1 outline-ink"
            style={{ left: `${focal.x}%`, top: `${focal.y}%` }}
          />
        )}
      </div>
      <p className="mt-1 flex flex-wrap gap-x-3 text-label text-ink-2">
        <span>
          Focal point {focal ? <span className="figure">{`${short(focal.x)}, ${short(focal.y)} %`}</span> : 'not set'}; safe area{' '}
          {picture.safe ? (
            <span className="figure">{`${Math.round(picture.safe.width)} × ${Math.round(picture.safe.height)} %`}</span>
          ) : (
            'not set'
          )}
        </span>
        {focal && (
          <button type="button" className="min-h-6 underline" onClick={() => onChange({ focal: null })}>
            No focal point
          </button>
        )}
        {picture.safe && (
          <button type="button" className="min-h-6 underline" onClick={() => onChange({ safe: null })}>
            No safe area
          </button>
        )}
      </p>
    </>
  )
}
