import { z } from 'zod'

/** The file that a played page is looked at by for who cannot see or point; no export has it. */
export const ACCESS_FILE = 'access.js'

const boxSchema = z.object({ left: z.number(), top: z.number(), width: z.number(), height: z.number() })
const text = (most: number) => z.string().transform((all) => all.slice(0, most))

/** What was found at one width: what the rules say, once something is pressed or as the page is, and where the focus goes. */
export const accessSchema = z.object({
  width: z.number().positive(),
  /** Whether all states are looked at; until then how many of how many. */
  done: z.number(),
  of: z.number(),
  found: z
    .array(
      z.object({
        rule: text(60),
        help: text(200),
        grave: z.boolean(),
        block: z.string().optional(),
        /** What had been pressed. */
        state: text(80),
        why: text(400),
      }),
    )
    .max(5000),
  /** Blocks in the order of the focus, each where it stands on the page, px. */
  order: z.array(z.object({ block: z.string().optional(), box: boxSchema })).max(5000),
  /** Of these, those whose focus cannot be seen, or that something covers when they have it. */
  unseen: z.array(z.string()).max(5000),
  covered: z.array(z.string()).max(5000),
})
export type AccessRead = z.infer<typeof accessSchema>

/**
 * Looks at a page with axe as it is, and in each state that a press makes, and walks its focus. It follows axe itself,
 * tells `parent` how far it is and what it found, and leaves `accessOf()` for who is no parent.
 */
export const ACCESS_SCRIPT = `
const PRESSES = 'summary, button[popovertarget]:not([popovertargetaction=hide]), button[commandfor], [role=tab], button[aria-expanded]'
const FOCUSED = 'a[href], button, input, select, textarea, summary, [tabindex]:not([tabindex^="-"])'
const nameOf = (element) => (element.getAttribute('aria-label') || element.textContent || '').replace(/\\s+/g, ' ').trim().slice(0, 60)
const blockOf = (element) => element.closest('[data-block]')?.dataset.block
const isSeen = (element) => element.checkVisibility({ visibilityProperty: true, opacityProperty: true }) && element.getClientRects().length > 0
const settled = async () => {
  await new Promise((done) => setTimeout(done, 30))
  for (const one of document.getAnimations()) {
    try {
      if (one.timeline instanceof DocumentTimeline) one.finish()
    } catch {
      // One without an end goes on.
    }
  }
}

async function accessOf(tell = () => {}) {
  await document.fonts.ready
  const found = new Map()
  const look = async (state) => {
    const { violations } = await axe.run(document, { resultTypes: ['violations'], elementRef: true, iframes: false, preload: false, rules: { 'frame-tested': { enabled: false } } })
    for (const { id, help, impact, nodes } of violations)
      for (const { element, failureSummary } of nodes) {
        const block = element && blockOf(element)
        const key = [id, block ?? '', element?.outerHTML.slice(0, 200)].join(' ')
        if (found.has(key)) continue
        const why = failureSummary.split('\\n').slice(1).join(' ').replace(/\\s+/g, ' ').trim()
        found.set(key, { rule: id, help, grave: impact === 'serious' || impact === 'critical', ...(block ? { block } : {}), state, why })
      }
  }
  const presses = [...document.querySelectorAll(PRESSES)].filter(isSeen)
  const order = []
  const unseen = []
  const covered = []
  const result = (done) => ({ width: innerWidth, done, of: presses.length + 1, found: [...found.values()], order, unseen, covered })
  await look('')
  tell(result(1))
  for (const [n, press] of presses.entries()) {
    if (!isSeen(press)) continue
    const opened = press.getAttribute('popovertarget') ?? press.getAttribute('commandfor')
    const target = opened && document.getElementById(opened)
    press.click()
    await settled()
    await look(nameOf(press))
    if (target?.matches(':popover-open')) target.hidePopover()
    else if (target?.matches('dialog[open]')) target.close()
    else if (press.matches('[role=tab]')) press.closest('[role=tablist]')?.querySelector('[role=tab]')?.click()
    else if (press.matches('summary') || press.getAttribute('aria-expanded') === 'true') press.click()
    await settled()
    if (n < presses.length - 1) tell(result(n + 2))
  }
  const drawn = (element) => {
    const { outlineStyle, outlineWidth, outlineColor, boxShadow, backgroundColor, borderColor, color, textDecorationLine, textDecorationThickness } = getComputedStyle(element)
    return [outlineStyle === 'none' || outlineWidth === '0px' ? '' : outlineStyle + outlineWidth + outlineColor, boxShadow, backgroundColor, borderColor, color, textDecorationLine, textDecorationThickness].join()
  }
  document.activeElement?.blur()
  for (const element of document.querySelectorAll(FOCUSED)) {
    if (!isSeen(element) || element.disabled || element.closest('[inert]')) continue
    const before = drawn(element)
    element.focus()
    if (document.activeElement !== element) continue
    await settled()
    const after = drawn(element)
    const box = element.getBoundingClientRect()
    const block = blockOf(element)
    order.push({ ...(block ? { block } : {}), box: { left: box.left + scrollX, top: box.top + scrollY, width: box.width, height: box.height } })
    if (before === after && block) unseen.push(block)
    // Wholly covered is what fails (WCAG 2.2, 2.4.11): the middle and the corners, a little inside.
    const points = [[0.5, 0.5], [0.1, 0.2], [0.9, 0.2], [0.1, 0.8], [0.9, 0.8]].map(([x, y]) => [box.left + box.width * x, box.top + box.height * y])
    const inside = points.filter(([x, y]) => x >= 0 && y >= 0 && x < innerWidth && y < innerHeight)
    const hides = ([x, y]) => {
      const top = document.elementFromPoint(x, y)
      return top && !element.contains(top) && !top.contains(element)
    }
    if (block && inside.length > 0 && inside.every(hides)) covered.push(block)
    element.blur()
  }
  return result(presses.length + 1)
}

if (parent !== self)
  addEventListener('load', () => void accessOf((so) => parent.postMessage({ access: so }, '*')).then((all) => parent.postMessage({ access: all, whole: true }, '*')))
`
