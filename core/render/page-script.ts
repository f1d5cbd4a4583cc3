import type { Element } from 'hast'
import { ONE_SHOWN } from '#core/blocks/panel'
import { FORM_SCRIPT } from './form-script'
import { PART_SCRIPT } from './part-script'
import { PRESS_SCRIPT } from './press-script'

/**
 * What CSS and HTML cannot do by themselves: slides that go on and back by buttons and keys, and things that move by
 * themselves, with the control that stops them. Nothing moves for those who want no motion (`prefers-reduced-motion`).
 * It is printed as it stands, so it is written in what browsers read.
 */
export const PAGE_SCRIPT = `const calm = matchMedia('(prefers-reduced-motion: reduce)')

/** A button that stops what moves and starts it again. */
function pausing(button, start, stop) {
  let moving = false
  const set = (next) => {
    moving = next
    button.textContent = moving ? '❚❚' : '▶'
    button.setAttribute('aria-pressed', String(!moving))
    if (moving) start()
    else stop()
  }
  button.hidden = false
  button.addEventListener('click', () => set(!moving))
  set(!calm.matches)
  calm.addEventListener('change', () => set(!calm.matches))
}

for (const show of document.querySelectorAll('[data-slideshow]')) {
  const row = show.querySelector('.slides')
  const slides = [...row.children]
  const dots = [...show.querySelectorAll('.slide-dots a')]
  const pause = show.querySelector('[data-pause]')
  let now = 0
  const go = (to) => {
    const slide = slides[(to + slides.length) % slides.length]
    row.scrollTo({ left: slide.offsetLeft - row.offsetLeft, behavior: calm.matches ? 'auto' : 'smooth' })
  }
  const mark = (index) => {
    now = index
    dots.forEach((dot, i) => (i === index ? dot.setAttribute('aria-current', 'true') : dot.removeAttribute('aria-current')))
  }
  const watch = new IntersectionObserver(
    (entries) => {
      for (const one of entries) if (one.isIntersecting) mark(slides.indexOf(one.target))
    },
    { root: row, threshold: 0.6 },
  )
  for (const slide of slides) watch.observe(slide)
  dots.forEach((dot, i) =>
    dot.addEventListener('click', (event) => {
      event.preventDefault()
      go(i)
    }),
  )
  for (const [name, by] of [
    ['previous', -1],
    ['next', 1],
  ]) {
    const button = show.querySelector('[data-' + name + ']')
    button.hidden = false
    button.addEventListener('click', () => go(now + by))
  }
  row.addEventListener('keydown', (event) => {
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
    if (!by) return
    event.preventDefault()
    go(now + by)
  })
  const seconds = Number(show.dataset.slideshow)
  if (pause && seconds > 0) {
    let timer
    const busy = () => show.matches(':hover, :focus-within')
    pausing(
      pause,
      () => (timer = setInterval(() => busy() || go(now + 1), seconds * 1000)),
      () => clearInterval(timer),
    )
  }
}

for (const box of document.querySelectorAll('[data-running]')) {
  const video = box.querySelector('video')
  pausing(
    box.querySelector('[data-pause]'),
    () => void video.play().catch(() => undefined),
    () => video.pause(),
  )
}
`

/** The parts of the script, and by what an element tells that it needs one. */
const PARTS: { text: string; needed: (element: Element) => boolean }[] = [
  { text: PAGE_SCRIPT, needed: ({ properties }) => 'dataSlideshow' in properties || 'dataRunning' in properties },
  {
    text: PRESS_SCRIPT,
    needed: ({ tagName, properties }) =>
      tagName === 'dialog' ||
      'dataFold' in properties ||
      (properties.className as string[] | undefined)?.includes(ONE_SHOWN) === true,
  },
  { text: FORM_SCRIPT, needed: ({ properties }) => 'dataSaid' in properties },
  { text: PART_SCRIPT, needed: ({ properties }) => 'dataParts' in properties },
]

/** The script that elements need; nothing where all works without one. */
export function scriptFor(elements: readonly Element[]): string | undefined {
  const needed = PARTS.filter((part) => elements.some((one) => someIn(one, part.needed))).map((part) => part.text)
  return needed.length === 0 ? undefined : needed.join('\n')
}

const someIn = (element: Element, is: (element: Element) => boolean): boolean =>
  is(element) || element.children.some((one) => one.type === 'element' && someIn(one, is))

/** The script without its comments and indents; names stay, since they weigh nothing once it is compressed. */
export const minifyScript = (script: string): string =>
  script
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '' && !/^(\/\*\*|\*|\/\/)/.test(line))
    .join('\n')
