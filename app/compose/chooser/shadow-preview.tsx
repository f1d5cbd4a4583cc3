import { memo, useLayoutEffect, useRef, useState } from 'react'

type ShadowPreviewProps = {
  /** Width of the page that is drawn, px. */
  width: number
  /** Share of what holds the preview that it is wide. */
  share: number
  markup: () => string
}

/** Height that a preview is cut off at, px of the screen. */
const MOST = 230

const waiting: (() => void)[] = []

function drawNext(): void {
  waiting.shift()?.()
  if (waiting.length > 0) requestAnimationFrame(drawNext)
}

/** Draws previews one to a frame, so that scrolling past many drops none. @returns what takes it out of the line */
function inTurn(draw: () => void): () => void {
  waiting.push(draw)
  if (waiting.length === 1) requestAnimationFrame(drawNext)
  return () => {
    const at = waiting.indexOf(draw)
    if (at >= 0) waiting.splice(at, 1)
  }
}

function Preview({ width, share, markup }: ShadowPreviewProps) {
  const outer = useRef<HTMLSpanElement>(null)
  const inner = useRef<HTMLSpanElement>(null)
  const [scale, setScale] = useState(0)
  const [height, setHeight] = useState(MOST)
  const latest = useRef(markup)
  latest.current = markup
  useLayoutEffect(() => {
    const element = outer.current!
    let cancel: (() => void) | undefined
    const draw = () => {
      const host = inner.current!
      const root = host.shadowRoot ?? host.attachShadow({ mode: 'open' })
      // Printed from the site's own tree: words are text in it, never markup.
      root.innerHTML = latest.current()
      for (const link of root.querySelectorAll('a, button, input, textarea')) link.setAttribute('tabindex', '-1')
      const fitted = element.clientWidth / width
      setScale(fitted)
      setHeight(Math.min(MOST, host.offsetHeight * fitted))
    }
    const observer = new IntersectionObserver(
      ([entry]) => {
        if (!entry?.isIntersecting) return
        observer.disconnect()
        cancel = inTurn(draw)
      },
      { root: element.closest('[data-arrangements]'), rootMargin: '700px' },
    )
    observer.observe(element)
    return () => {
      observer.disconnect()
      cancel?.()
    }
  }, [width])
  return (
    <span ref={outer} aria-hidden inert className="relative block overflow-clip" style={{ width: `${share * 100}%`, height }}>
      <span
        ref={inner}
        className="pointer-events-none absolute left-0 top-0 block origin-top-left"
        style={{ width, transform: `scale(${scale || 0.001})` }}
      />
    </span>
  )
}

/** A small rendering in a shadow tree, drawn when it first comes near, and once. */
export const ShadowPreview = memo(Preview, (before, now) => before.width === now.width && before.share === now.share)
