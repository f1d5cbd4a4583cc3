import { lanesOf } from '#core/motion/lanes'
import { spanOf } from '#core/motion/scene'
import { restingOf, stateAt } from '#core/motion/state'
import { motionLabel, spanInWords, whyStill } from '#core/motion/words'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { motionsOf } from '#core/style/motions-of'

/** Two windows, px, and the pages that are scrolled in them. */
const SCENES = [
  { window: 800, page: 9000 },
  { window: 640, page: 1100 },
]

/** Every motion of a site as it is met: where it happens, how its block looks on the way, and what is said of it. */
export const motionsMet = (site: Site) =>
  site.pages.flatMap((page) =>
    [...walkPage(page)].flatMap((block, n) => {
      const motions = motionsOf(block.style)
      if (motions.length === 0) return []
      const own = { top: 300 + ((n * 137) % 4000), height: 60 + ((n * 53) % 700), left: 40, width: 500 }
      return SCENES.map((size) => {
        const scene = { ...size, section: (id: string) => ({ ...own, top: own.top + id.length * 40, height: 900 }) }
        const spans = motions.map((motion) => spanOf(motion, own, scene))
        return {
          block: block.id,
          said: motions.map((motion, index) => {
            const span = spans[index]
            const resting = restingOf(motion, index, span)
            return [motionLabel(motion), span && spanInWords(motion, span), resting, whyStill(motion, span, resting, scene)]
          }),
          lanes: lanesOf(spans.flatMap((span) => span ?? [])),
          looks: Array.from({ length: 24 }, (_, step) =>
            stateAt(motions, own, scene, { scroll: step * 230, speed: step % 3 === 0 ? 900 : 0, time: step * 0.3 }),
          ),
        }
      })
    }),
  )
