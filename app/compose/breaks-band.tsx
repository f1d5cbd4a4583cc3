import { Popover } from 'radix-ui'
import { useEffect, useState } from 'react'
import { type Break, BREAKS, type Segment, segmentsOf, SWEPT, withBreakpointFor } from '#core/sweep/breaks'
import { hasWords } from '#core/blocks/tree'
import { findBlock } from '#core/site/tree'
import { plainText } from '#core/values/words'
import { findBreaks } from '../live/breaks'
import { useSession, useSessionStore } from '../session/context'
import { blockName, edit, makeId, pageOf, select } from '../session/store'
import { Button } from '../ui/button'

/** Rust lines, as trouble is drawn. */
const HATCH = 'repeating-linear-gradient(135deg, rgb(168 64 31 / 0.9) 0 1.5px, rgb(168 64 31 / 0.14) 1.5px 5px)'

/** How long after an edit the page is run through its widths again, ms. */
const REST = 700

type Axis = (width: number) => number

/** The widths at which something breaks, on the width ruler; each range says what, and offers a breakpoint. */
export function BreaksBand({ x }: { x: Axis }) {
  const site = useSession((state) => state.session.site)
  const page = useSession(pageOf)
  const [found, setFound] = useState<Break[] | null>(null)
  const [share, setShare] = useState(0)
  useEffect(() => {
    const giveUp = new AbortController()
    const timer = setTimeout(() => {
      setShare(0)
      void findBreaks(site, page, { signal: giveUp.signal, onProgress: setShare }).then((breaks) => {
        if (!breaks) return
        setFound(breaks)
        setShare(1)
      })
    }, REST)
    return () => {
      clearTimeout(timer)
      giveUp.abort()
    }
  }, [site, page])
  const busy = share < 1
  return (
    <>
      <p
        role="status"
        className={`pointer-events-none absolute bottom-0 right-1 bg-panel px-1 text-label ${found?.length ? 'text-rust' : 'text-ink-2'}`}
      >
        {busy
          ? `Looking at every width, ${Math.round(share * 100)} %`
          : found?.length
            ? `${found.length} ${found.length === 1 ? 'thing breaks' : 'things break'} at some widths`
            : `Nothing breaks from ${SWEPT.from} to ${SWEPT.to} px`}
      </p>
      {segmentsOf(found ?? []).map((segment) => (
        <SegmentMark key={`${segment.from} ${segment.to}`} x={x} segment={segment} />
      ))}
    </>
  )
}

function SegmentMark({ x, segment }: { x: Axis; segment: Segment }) {
  const { from, to, breaks } = segment
  const count = breaks.length
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={`What breaks from ${from} to ${to} px: ${count}`}
        title={`${count} ${count === 1 ? 'thing breaks' : 'things break'} from ${from} to ${to} px`}
        data-breaks={count}
        className="absolute top-[31px] z-10 h-[22px] min-w-3 pt-3"
        style={{ left: x(from), width: Math.max(12, x(to) - x(from)) }}
      >
        <span className="block h-2" style={{ backgroundImage: HATCH, opacity: Math.min(1, 0.55 + count * 0.15) }} />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={4}
          aria-label={`What breaks from ${from} to ${to} px`}
          className="z-40 max-h-[60vh] w-[420px] overflow-auto rounded-2 border border-line-strong bg-panel p-3 shadow-float"
        >
          {breaks
            .toSorted((a, b) => b.to - a.to)
            .map((one) => (
              <BreakRow key={`${one.kind} ${one.block} ${one.from}`} found={one} />
            ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}

/** What breaks, where and from which width, with what can be done. */
function BreakRow({ found }: { found: Break }) {
  const store = useSessionStore()
  const site = useSession((state) => state.session.site)
  const place = findBlock(site, found.block)
  if (!place) return null
  const words = hasWords(place.block) ? plainText(place.block.words[site.language] ?? []).trim() : ''
  const breakpoints = withBreakpointFor(site.breakpoints, found, makeId())
  const range = found.from === found.to ? `at ${found.from} px` : `from ${found.from} to ${found.to} px`
  return (
    <div className="grid grid-cols-[16px_1fr] border-t border-line py-2 first:border-t-0">
      <svg aria-hidden width="9" height="9" viewBox="0 0 10 10" className="mt-1.5">
        <path d="M5 0l5 9H0z" fill="#A8401F" />
      </svg>
      <div>
        <p>
          {blockName(place.block)}
          {words && ` “${words.length > 48 ? `${words.slice(0, 47)}…` : words}”`} {BREAKS[found.kind]}{' '}
          <span className="figure whitespace-nowrap">{range}</span>.
        </p>
        <p className="mt-1.5 flex gap-2">
          <Button className="h-6" onClick={() => select(store, found.block)}>
            Select it
          </Button>
          {breakpoints && (
            <Button
              className="h-6"
              onClick={() => {
                edit(store, { kind: 'site', field: 'breakpoints', value: breakpoints })
                const made = breakpoints.find((one) => !site.breakpoints.some((other) => other.id === one.id))!
                select(store, found.block)
                store.setState({ scope: { below: made.id } })
              }}
            >
              Breakpoint below {found.to + 1}
            </Button>
          )}
        </p>
      </div>
    </div>
  )
}
