import { z } from 'zod'

/** The file that a played page is watched by; no export has it. */
export const WATCH_FILE = 'watch.js'

/** What the script in a played page says: where it is scrolled to, and frames of that scroll, of which some came late. */
export const watchedSchema = z.object({
  scroll: z.number().min(0),
  height: z.number().min(0),
  window: z.number().positive(),
  frames: z.int().min(0),
  late: z.int().min(0),
})
export type Watched = z.infer<typeof watchedSchema>
/** What it is told: how fast time passes, where 1 is as usual. */
export type Told = { rate?: number }

/**
 * Tells the window that plays a page where it is scrolled to and how many frames came late while it was scrolled, and slows
 * its motions down. A frame is late where it takes more than half as long again as the usual one, that is the median of the first fifty.
 */
export const WATCH_SCRIPT = `let frames = 0
let late = 0
let rate = 1
let before
let rest
const first = []

const tell = () =>
  parent.postMessage({ scroll: scrollY, height: document.documentElement.scrollHeight, window: innerHeight, frames, late }, '*')

function frame(now) {
  if (before !== undefined) {
    const took = now - before
    if (first.length < 50) first.push(took)
    const usual = [...first].sort((a, b) => a - b)[first.length >> 1]
    frames++
    if (took > 1.5 * usual) late++
  }
  before = now
  tell()
  if (rest !== undefined) requestAnimationFrame(frame)
  else before = undefined
}

addEventListener(
  'scroll',
  () => {
    const still = rest === undefined
    clearTimeout(rest)
    rest = setTimeout(() => (rest = undefined), 200)
    if (still) requestAnimationFrame(frame)
  },
  { passive: true },
)

const slow = (animations) => {
  for (const one of animations) if (one.timeline instanceof DocumentTimeline) one.playbackRate = Math.sign(one.playbackRate || 1) * rate
}
for (const name of ['animationstart', 'transitionrun']) addEventListener(name, ({ target }) => rate !== 1 && slow(target.getAnimations()), true)

addEventListener('message', ({ source, data }) => {
  if (source !== parent) return
  if (data.rate !== undefined) {
    rate = data.rate
    slow(document.getAnimations())
  }
  tell()
})
addEventListener('load', tell)
addEventListener('resize', tell)
`
