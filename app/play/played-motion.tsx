import { useEffect, useMemo, useState } from 'react'
import { isTimed, type Line, type Motion } from '#core/motion/motion'
import { furthest, lineAt, spanOf } from '#core/motion/scene'
import { restingOf } from '#core/motion/state'
import { lineInWords, motionLabel } from '#core/motion/words'
import type { Watched } from '#core/render/watch-script'
import type { Page, Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { motionsOf } from '#core/style/motions-of'
import { measureMotion } from '../live/measure-motion'
import type { Moving } from '../live/moving'

type PlayedMotionProps = { site: Site; page: Page; width: number; scale: number; watched: Watched | null; still: boolean }

/** The lines of the window that motions wait for, each once. */
function linesOf(motions: readonly Motion[]): Line[] {
  const lines = motions.flatMap((one): Line[] =>
    one.kind === 'reveal'
      ? [one.line]
      : one.kind === 'scrub' && one.range.of !== 'page'
        ? [one.range.begins.line, one.range.ends.line]
        : [],
  )
  return [...new Map(lines.map((line) => [lineInWords(line), line])).values()]
}

/** Over the played page: lines that motions wait for; beside it, where along the scroll each motion happens, and where the page stands. */
export function PlayedMotion({ site, page, width, scale, watched, still }: PlayedMotionProps) {
  const [moving, setMoving] = useState<Moving | null>(null)
  const height = watched?.window
  const moves = useMemo(() => [...walkPage(page)].some(({ style }) => motionsOf(style).length > 0), [page])
  useEffect(() => {
    setMoving(null)
    if (height === undefined || !moves) return
    let gone = false
    const timer = setTimeout(() => void measureMotion(site, page, width, height).then((found) => !gone && setMoving(found)), 150)
    return () => {
      gone = true
      clearTimeout(timer)
    }
  }, [site, page, width, height, moves])
  if (!moving || !watched || still || moving.blocks.length === 0) return null
  const end = furthest(moving.scene)
  const at = (px: number) => `${(Math.min(end, Math.max(0, px)) / Math.max(1, end)) * 100}%`
  const bars = moving.blocks.flatMap(({ block, box, motions }) =>
    motions.flatMap((motion, index) => {
      const span = spanOf(motion, box, moving.scene)
      if (!span || isTimed(motion) || restingOf(motion, index, span) !== undefined) return []
      return [
        {
          key: `${block.id} ${index}`,
          label: motionLabel(motion),
          span,
          on: watched.scroll >= span.from && watched.scroll <= span.to,
        },
      ]
    }),
  )
  const lines = linesOf(moving.blocks.flatMap((one) => one.motions))
  return (
    <>
      <div aria-hidden className="pointer-events-none absolute inset-0 z-10 overflow-clip" data-played-lines>
        {lines.map((line) => (
          <div
            key={lineInWords(line)}
            className="absolute inset-x-0 border-t border-dotted border-reed"
            style={{ top: lineAt(line, watched.window) * scale }}
          >
            <span className="figure absolute right-1 top-0.5 bg-panel px-1 text-label text-reed">{lineInWords(line)}</span>
          </div>
        ))}
      </div>
      <div
        aria-hidden
        data-played-ruler
        className="pointer-events-none absolute inset-y-0 -right-6 z-10 w-4 border-l border-ink-2 bg-panel"
      >
        {bars.map(({ key, span, on }, i) => (
          <div
            key={key}
            className={`absolute w-[3px] ${on ? 'bg-yarrow' : 'bg-ink'}`}
            style={{ left: 1 + (i % 3) * 5, top: at(span.from), height: `max(4px, calc(${at(span.to)} - ${at(span.from)}))` }}
          />
        ))}
        <div className="absolute inset-x-0 h-0.5 bg-yarrow" style={{ top: at(watched.scroll) }} />
      </div>
    </>
  )
}
