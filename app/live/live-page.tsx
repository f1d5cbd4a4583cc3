import { type ReactNode, useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react'
import { specimenBody, specimenCss } from '#core/specimen/specimen'
import type { Finish } from '#core/render/wire'
import { currentOf, inDirection } from '#core/site/directions'
import type { Page, Site } from '#core/site/schema'
import type { StyleGuide } from '#core/guide/style-guide'
import type { Edit } from '#core/edits/index'
import type { Stress } from '#core/stress/stress'
import { useSession } from '../session/context'
import { asTried } from '../session/tried'
import { createFrame, type Frame, VIEW_DOCUMENT } from './frame'
import { liveRenderer, type RenderedPage, withCss } from './rendering'
import { pageOf } from '../session/store'

export type LivePageProps = {
  /** Width of the viewport that the page is shown in, px. */
  width: number
  look?: Finish
  /** Direction that the page is shown in; the current one, if none is named. */
  direction?: string
  /** A style guide that the page is shown in though no direction has it, and a name to remember it by. */
  attempt?: { id: string; guide: StyleGuide }
  /** A change that the page is shown with though it is only tried. */
  tried?: Edit | undefined
  /** What the page is put to. */
  stress?: Stress | undefined
  /** True to show the specimen page of the style guide in place of the page. */
  specimen?: boolean
  /** True to follow what is kept alone, and not what is only tried. */
  still?: boolean
  /** A CSS filter over the page, as a simulation of colour vision. */
  filter?: string | undefined
  /** Language of the words; the site's first, if none is named. */
  language?: string
  /** A block to mark and bring into sight. */
  marked?: string | null | undefined
  onPick?: (block: string) => void
  /** Called with the block under the pointer while something is dragged over the page, and when it is dropped there. */
  onDropOn?: (block: string) => void
  label?: string
  /** True to be as high as the page, where something around it scrolls. */
  full?: boolean
  /** Called when the page has been shown anew, and is laid out. */
  onShown?: (frame: Frame) => void
  onScroll?: (top: number) => void
  /** Where the page is scrolled to, px, where something else scrolls it along. */
  scrolledTo?: number | undefined
  /** What is drawn over the page, at its scale. */
  over?: ((scale: number) => ReactNode) | undefined
}

type Box = { left: number; top: number; width: number; height: number }

/** The box that was there, if the new one is the same. */
const sameBox = (before: Box | null, now: Box | null): Box | null => (JSON.stringify(before) === JSON.stringify(now) ? before : now)

/** The page as it is now, live, scaled to the room that it is given. */
export function LivePage({
  width,
  look = 'finished',
  direction,
  attempt,
  tried,
  stress,
  specimen = false,
  still = false,
  filter,
  language: asked,
  marked,
  onPick,
  onDropOn,
  label,
  full = false,
  onShown,
  onScroll,
  scrolledTo,
  over: drawn,
}: LivePageProps) {
  const kept = useSession((state) => state.session.site)
  const whole = useMemo(() => {
    const site = asTried(kept, tried ? [tried] : null)
    return stress?.change?.(site) ?? site
  }, [kept, tried, stress])
  const shownAs = attempt ? `first-${attempt.id}` : (direction ?? currentOf(whole).id)
  const guide = attempt?.guide
  const site = useMemo(() => (guide ? { ...whole, guide } : inDirection(whole, shownAs)), [whole, guide, shownAs])
  const shown = useSession(pageOf)
  const page = whole === kept ? shown : (whole.pages.find((one) => one.id === shown.id) ?? shown)
  const room = useRef<HTMLDivElement>(null)
  const iframe = useRef<HTMLIFrameElement>(null)
  const [frame, setFrame] = useState<Frame | null>(null)
  const [available, setAvailable] = useState(0)
  const [height, setHeight] = useState(400)
  const [box, setBox] = useState<Box | null>(null)
  const [over, setOver] = useState<Box | null>(null)
  const language = asked ?? site.language
  const render = specimen ? renderSpecimen : liveRenderer(language, look, shownAs)
  const scale = Math.min(1, available / width)

  useLayoutEffect(() => {
    const element = room.current!
    const observer = new ResizeObserver(() => setAvailable(element.clientWidth))
    observer.observe(element)
    setAvailable(element.clientWidth)
    return () => observer.disconnect()
  }, [])

  useEffect(() => {
    const element = iframe.current!
    let observer: ResizeObserver | undefined
    const start = () => {
      if (!element.contentDocument?.querySelector('meta[http-equiv]')) return
      const made = createFrame(element, width)
      observer = new ResizeObserver(() => setHeight(Math.max(200, made.document.body.getBoundingClientRect().height)))
      observer.observe(made.document.body)
      setFrame(made)
    }
    element.addEventListener('load', start)
    if (element.contentDocument?.readyState === 'complete') start()
    return () => {
      element.removeEventListener('load', start)
      observer?.disconnect()
      setFrame(null)
    }
  }, [width])

  useLayoutEffect(() => frame?.show(withCss(render(site, page), stress)), [frame, render, site, page, stress])
  const told = useRef(onShown)
  told.current = onShown
  useEffect(() => {
    if (!frame || !told.current) return
    const wait = requestAnimationFrame(() => told.current?.(frame))
    return () => cancelAnimationFrame(wait)
  }, [frame, render, site, page, height])
  useEffect(() => {
    if (scrolledTo !== undefined && room.current && Math.abs(room.current.scrollTop - scrolledTo) > 1)
      room.current.scrollTop = scrolledTo
  }, [scrolledTo])

  const boxOf = useCallback(
    (id: string | null | undefined): Box | null => {
      const element = id ? frame?.find(id) : null
      if (!element) return null
      const rect = element.getBoundingClientRect()
      return { left: rect.left * scale, top: rect.top * scale, width: rect.width * scale, height: rect.height * scale }
    },
    [frame, scale],
  )
  // The marks are drawn after the page, so that finding their place does not hold it up.
  useEffect(() => {
    const frame = requestAnimationFrame(() => setBox((before) => sameBox(before, boxOf(marked))))
    return () => cancelAnimationFrame(frame)
  }, [boxOf, marked, site, height])
  // It comes into sight once: the page may not be as high yet as it will be when its words and pictures are there.
  const reached = useRef('')
  useEffect(() => {
    const found = boxOf(marked)
    const element = room.current!
    const key = `${marked} ${width}`
    if (!found || found.height === 0 || reached.current === key) return
    const isSeen = () =>
      found.top >= element.scrollTop && found.top + Math.min(found.height, 60) <= element.scrollTop + element.clientHeight
    if (!isSeen()) element.scrollTo({ top: Math.max(0, found.top - 60) })
    if (isSeen()) reached.current = key
  }, [boxOf, marked, width, height])

  const blockAt = (event: { clientX: number; clientY: number }, surface: HTMLElement): string | undefined => {
    const bounds = surface.getBoundingClientRect()
    const element = frame?.document.elementFromPoint((event.clientX - bounds.left) / scale, (event.clientY - bounds.top) / scale)
    return element?.closest<HTMLElement>('[data-block]')?.dataset.block
  }

  return (
    <div
      ref={room}
      {...(full ? {} : { tabIndex: 0, role: 'region', 'aria-label': label ?? `The page at ${width} px` })}
      className={`relative bg-field ${full ? '' : 'h-full overflow-y-auto overflow-x-hidden'}`}
      data-live={width}
      onScroll={onScroll && ((event) => onScroll(event.currentTarget.scrollTop))}
    >
      <div className="relative overflow-clip" style={{ width: width * scale, height: height * scale }}>
        <iframe
          ref={iframe}
          title={label ?? `The page at ${width} px`}
          srcDoc={VIEW_DOCUMENT}
          sandbox="allow-same-origin"
          tabIndex={-1}
          {...(still ? {} : { 'data-direction': shownAs })}
          className="absolute left-0 top-0 origin-top-left border-0"
          style={{ width, height, transform: `scale(${scale})`, ...(filter ? { filter } : {}) }}
        />
        <div
          className="absolute inset-0"
          onClick={(event) => {
            const id = blockAt(event, event.currentTarget)
            if (id) onPick?.(id)
          }}
          onDragOver={(event) => {
            if (!onDropOn) return
            event.preventDefault()
            setOver(boxOf(blockAt(event, event.currentTarget)))
          }}
          onDragLeave={() => setOver(null)}
          onDrop={(event) => {
            event.preventDefault()
            setOver(null)
            const id = blockAt(event, event.currentTarget)
            if (id) onDropOn?.(id)
          }}
        >
          {drawn?.(scale)}
          {box && <Marks box={box} />}
          {over && <div className="absolute border-2 border-yarrow bg-yarrow/20" style={over} />}
        </div>
      </div>
    </div>
  )
}

/** The specimen page of a guide, as the views show a page. */
function renderSpecimen(site: Site, page: Page): RenderedPage {
  const { sharedCss } = liveRenderer(site.language, 'finished', currentOf(site).id)(site, page)
  return { body: specimenBody(site, page), sections: [], sharedCss: sharedCss + specimenCss(site), language: site.language }
}

/** Four corner marks around a block. */
function Marks({ box }: { box: Box }) {
  const corners = [
    'left-0 top-0 border-l-2 border-t-2',
    'right-0 top-0 border-r-2 border-t-2',
    'bottom-0 left-0 border-b-2 border-l-2',
    'bottom-0 right-0 border-b-2 border-r-2',
  ]
  return (
    <div
      aria-hidden
      className="pointer-events-none absolute"
      style={{ left: box.left - 4, top: box.top - 4, width: box.width + 8, height: box.height + 8 }}
    >
      {corners.map((corner) => (
        <span key={corner} className={`absolute h-3 w-3 border-yarrow ${corner}`} />
      ))}
    </div>
  )
}
