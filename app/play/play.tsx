import { type PointerEvent, useEffect, useRef, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { viewportHeightFor } from '#core/grid/viewport-height'
import { rangeAt } from '#core/grid/columns'
import type { Page, Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { buttonClass } from '../ui/button'
import { NumberField } from '../ui/number-field'
import { type Told, type Watched, watchedSchema } from '#core/render/watch-script'
import { stepsOf } from '../ui/steps'
import { TopBar } from '../ui/top-bar'
import { WindowHeight } from '../ui/window-height'
import { type How, HOWS, MotionSwitches } from './motion-switches'
import { PlayedMotion } from './played-motion'

export type PlayProps = { siteId: string; site: Site; page: Page; file: string; exported: boolean }

const LEAST = 320
const MOST = 1920

/** The page as a visitor gets it, at a width that is chosen or dragged. */
export function Play({ siteId, site, page, file, exported }: PlayProps) {
  const navigate = useNavigate()
  const stage = useRef<HTMLDivElement>(null)
  const [width, setWidth] = useState(site.views[0] ?? 1280)
  const [room, setRoom] = useState(0)
  const [how, setHow] = useState<How>('usual')
  const [rate, setRate] = useState(1)
  const [watched, setWatched] = useState<Watched | null>(null)
  const [free, setFree] = useState(true)
  const back = `/sites/${siteId}/pages/${page.id}/compose`

  useEffect(() => {
    const observer = new ResizeObserver(() => setRoom(stage.current!.clientWidth - 56))
    observer.observe(stage.current!)
    return () => observer.disconnect()
  }, [])
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.key === 'Escape') void navigate(back)
    }
    window.addEventListener('keydown', onKeyDown)
    return () => window.removeEventListener('keydown', onKeyDown)
  }, [navigate, back])

  const hasForm = site.pages.some((one) => [...walkPage(one)].some((block) => block.kind === 'form'))
  const scale = room === 0 ? 1 : Math.min(1, room / width)
  const breakpoint = site.breakpoints[rangeAt(site.breakpoints, width)]!
  const set = (next: number) => setWidth(Math.min(MOST, Math.max(LEAST, Math.round(next))))
  return (
    <div className="flex h-screen flex-col overflow-clip">
      <TopBar
        siteName={site.name}
        pageName={page.name}
        pages={site.pages.map((one) => ({
          id: one.id,
          name: one.name,
          to: `/sites/${siteId}/pages/${one.id}/play`,
        }))}
        steps={stepsOf({ siteId, site, page, exported })}
      >
        <Link to={back} className={buttonClass('primary')}>
          Back to Compose
        </Link>
      </TopBar>
      <div className="flex h-[46px] shrink-0 items-center gap-3 border-b border-line-strong bg-panel px-4">
        <span className="text-ink-2">Width</span>
        <NumberField
          className="w-28"
          label="Width of the page"
          unit="px"
          value={width}
          least={LEAST}
          most={MOST}
          step={1}
          whole
          onChange={set}
        />
        <div className="flex gap-1" role="group" aria-label="Widths of the views">
          {site.views.map((view) => (
            <button
              key={view}
              type="button"
              aria-pressed={view === width}
              className="figure h-[26px] rounded-2 border border-line-strong bg-field px-2.5 hover:border-ink aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-on-ink"
              onClick={() => set(view)}
            >
              {view}
            </button>
          ))}
        </div>
        <WindowHeight width={width} free={free} onFree={setFree} />
        <MotionSwitches how={how} rate={rate} onHow={setHow} onRate={setRate} watched={watched} />
        <span className="hidden text-label text-ink-2 min-[1500px]:inline">
          {breakpoint.columns} columns, {breakpoint.gutter} gutter
          {scale < 1 ? `, shown at ${Math.round(scale * 100)}%` : ''}
        </span>
        {hasForm && (
          <Link
            className="inline-flex min-h-6 items-center ml-auto text-label underline"
            to={`/sites/${siteId}/pages/${page.id}/inbox`}
          >
            Form inbox
          </Link>
        )}
        <a
          className={`inline-flex min-h-6 items-center text-label underline ${hasForm ? '' : 'ml-auto'}`}
          href={`/visit/${siteId}/${file}`}
          target="_blank"
          rel="noreferrer"
        >
          Open alone
        </a>
      </div>
      <main ref={stage} className="flex min-h-0 flex-1 justify-center overflow-clip px-7 pt-4">
        <div className="relative" style={{ width: width * scale }}>
          <Side side="left" scale={scale} width={width} onWidth={set} />
          <div className="h-full overflow-clip bg-field">
            <PageFrame
              key={how}
              src={`/visit/${siteId}/${file}${HOWS[how].query}`}
              width={width}
              scale={scale}
              height={free ? null : viewportHeightFor(width)}
              title={`${page.name} at ${width} px`}
              scripts={how !== 'scriptless'}
              rate={rate}
              onWatched={setWatched}
            />
          </div>
          <PlayedMotion site={site} page={page} width={width} scale={scale} watched={watched} still={how === 'calm'} />
          <Side side="right" scale={scale} width={width} onWidth={set} />
        </div>
      </main>
    </div>
  )
}

type PageFrameProps = {
  src: string
  width: number
  scale: number
  /** Of the window, px; as high as there is room, where it is not given. */
  height: number | null
  title: string
  scripts: boolean
  rate: number
  onWatched: (watched: Watched | null) => void
}

/** The page in a frame that can reach nothing of the application; a script in it tells where it is scrolled to. */
function PageFrame({ src, width, scale, height, title, scripts, rate, onWatched }: PageFrameProps) {
  const frame = useRef<HTMLIFrameElement>(null)
  useEffect(() => {
    onWatched(null)
    const onMessage = ({ source, data }: MessageEvent) => {
      const parsed = source === frame.current?.contentWindow ? watchedSchema.safeParse(data) : undefined
      if (parsed?.success) onWatched(parsed.data)
    }
    window.addEventListener('message', onMessage)
    return () => window.removeEventListener('message', onMessage)
  }, [onWatched])
  const tell = (told: Told) => frame.current?.contentWindow?.postMessage(told, '*')
  // The page may have been there before this screen listened; it answers whatever it is told.
  useEffect(() => tell({ rate }), [rate])
  return (
    <iframe
      ref={frame}
      title={title}
      src={src}
      sandbox={scripts ? 'allow-scripts allow-forms allow-downloads' : 'allow-forms allow-downloads'}
      className="origin-top-left border-0"
      style={{ width, height: height ?? `${100 / scale}%`, transform: `scale(${scale})` }}
      onLoad={() => tell({ rate })}
    />
  )
}

/** A side of the page, to drag: both sides move, so the page stays in the middle. */
function Side({
  side,
  scale,
  width,
  onWidth,
}: {
  side: 'left' | 'right'
  scale: number
  width: number
  onWidth: (width: number) => void
}) {
  const drag = useRef<{ x: number; width: number; scale: number } | null>(null)
  const sign = side === 'left' ? -1 : 1
  const move = (event: PointerEvent<HTMLDivElement>) => {
    const { current } = drag
    if (current) onWidth(current.width + (2 * sign * (event.clientX - current.x)) / current.scale)
  }
  return (
    <div
      role="separator"
      aria-orientation="vertical"
      aria-label={`Width, ${side} side`}
      aria-valuenow={width}
      aria-valuemin={LEAST}
      aria-valuemax={MOST}
      tabIndex={0}
      className={`absolute inset-y-0 z-10 flex w-5 cursor-ew-resize touch-none items-center justify-center hover:bg-line ${side === 'left' ? '-left-5' : '-right-5'}`}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        drag.current = { x: event.clientX, width, scale }
      }}
      onPointerMove={move}
      onPointerUp={() => (drag.current = null)}
      onKeyDown={(event) => {
        const step = event.shiftKey ? 10 : 1
        if (event.key === 'ArrowRight') onWidth(width + sign * step)
        else if (event.key === 'ArrowLeft') onWidth(width - sign * step)
      }}
    >
      <span className="h-12 w-1 bg-ink-2" />
    </div>
  )
}
