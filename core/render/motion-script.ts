import type { Element } from 'hast'

/** What is asked of an engine before anything is started for it. */
const ASKS = "!CSS.supports('animation-trigger: --a play') && "

/**
 * Starts what is revealed where an engine cannot by itself. It reads no layout while the page is scrolled: a mark of one px
 * stands where each block begins, and an observer says when that passes its line. Nothing is hidden without it.
 */
export const MOTION_SCRIPT = `const lessMotion = matchMedia('(prefers-reduced-motion: reduce)')

/** Where a box begins on the page, px, whatever moves it. */
function topOf(box) {
  let top = 0
  for (let one = box; one; one = one.offsetParent) top += one.offsetTop
  return top
}

/** Plays what a block is revealed by once its mark has passed the line, and back where that is wanted. */
function follow(block) {
  const subject = document.getElementById(block.dataset.reveal) ?? block
  const mark = document.createElement('i')
  mark.style.cssText = 'position:absolute;left:0;width:1px;height:1px;pointer-events:none'
  document.body.append(mark)
  let watch
  let shown = false
  const play = (passed) => {
    const names = getComputedStyle(block).getPropertyValue('--reveals').split(' ')
    const again = getComputedStyle(block).getPropertyValue('--again') !== ''
    if (passed === shown || (!passed && !again)) return
    shown = passed
    for (const one of [block, ...block.children].flatMap((each) => each.getAnimations())) {
      if (!names.includes(one.animationName)) continue
      one.playbackRate = passed ? 1 : -1
      one.play()
    }
  }
  const place = () => {
    const line = getComputedStyle(block).getPropertyValue('--line').trim()
    const px = line.endsWith('vh') ? (parseFloat(line) / 100) * innerHeight : parseFloat(line)
    // What cannot pass its line passes it at the end of the page.
    const { scrollHeight } = document.documentElement
    mark.style.top = Math.min(topOf(subject), scrollHeight - innerHeight + px - 2) + 'px'
    watch?.disconnect()
    watch = new IntersectionObserver((entries) => play(entries.at(-1).isIntersecting), {
      rootMargin: '9999999px 0px ' + (px - innerHeight) + 'px',
    })
    watch.observe(mark)
  }
  new ResizeObserver(place).observe(document.body)
  addEventListener('resize', place)
}

if (${ASKS}!lessMotion.matches) {
  document.documentElement.classList.add('moves')
  addEventListener('DOMContentLoaded', () => document.querySelectorAll('[data-reveal]').forEach(follow))
}
`

/** The same for a page that is played as in an engine without triggers, in one that has them. */
export const PLAIN_MOTION_SCRIPT = MOTION_SCRIPT.replace(ASKS, '')

/** True for an element in which something is revealed. */
export const needsMotionScript = ({ properties, children }: Element): boolean =>
  'dataReveal' in properties || children.some((one) => one.type === 'element' && needsMotionScript(one))
