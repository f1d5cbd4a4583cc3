/** Something that was pressed, typed or sent while it could not be answered. */
export type Kept =
  | { kind: 'press'; target: Element; button: number; init: PointerEventInit; count: number }
  | { kind: 'key'; target: Element; init: KeyboardEventInit }
  | { kind: 'value'; target: Element; value: string }
  | { kind: 'sent'; target: Element; by: HTMLElement | null }

/** What is held back: everything until the screen answers, keys while a part that takes them is loaded, or nothing. */
export type Held = 'all' | 'keys' | null

/** What the script below leaves for those that come after it. */
export type Early = { kept: Kept[]; held: Held; playing: boolean; play: (() => void) | null }

declare global {
  interface Window {
    yarrowfinchEarly?: Early
  }
}

/**
 * Runs in the page before any other script, as text: a screen is seen before its scripts arrive, and what is pressed or
 * typed then is kept here until it can be played. What a browser answers by itself, as links and letters in fields, it does
 * answer by itself. It may use nothing from outside its braces.
 */
export function keepEarly(): void {
  const early: Early = { kept: [], held: 'all', playing: false, play: null }
  window.yarrowfinchEarly = early
  document.documentElement.dataset.asleep = ''

  /** Where the pointer went down while presses were held: what comes of that press is kept too, whenever it comes. */
  let down: Element | null = null
  const isField = (one: Element) =>
    one.matches(
      'textarea, select, input:not([type=checkbox], [type=radio], [type=button], [type=submit], [type=range], [type=color])',
    )
  /** What opens, folds or asks for a file without a script. */
  const isNative = (one: Element) =>
    one.closest('a[href], summary, label:has(input[type=file]), input[type=file]') !== null || isField(one)
  const keep = (one: Kept, event: Event) => {
    event.preventDefault()
    event.stopImmediatePropagation()
    early.kept.push(one)
    if (early.held === null) early.play?.()
  }
  const whenTrusted =
    <E extends Event>(work: (event: E, target: Element) => void) =>
    (event: Event) => {
      if (event.isTrusted && event.target instanceof Element) work(event as E, event.target)
    }
  const on = <E extends Event>(types: string, work: (event: E, target: Element) => void) => {
    for (const type of types.split(' ')) window.addEventListener(type, whenTrusted<E>(work), { capture: true, passive: false })
  }

  on('pointerdown pointerup mousedown mouseup dblclick', (event, target) => {
    if (event.type === 'pointerdown') down = early.held === 'all' ? target : null
    if (early.held === 'all' || down) event.stopImmediatePropagation()
  })
  on<PointerEvent>('click contextmenu', (event, target) => {
    const held = early.held === 'all' || down !== null
    down = null
    if (!held || (event.type === 'click' && isNative(target))) return
    // A press of a key makes a click of its own: the key is kept.
    if (event.type === 'click' && event.detail === 0) return event.preventDefault()
    const { clientX, clientY, pointerId, ctrlKey, shiftKey, altKey, metaKey, button, detail } = event
    const init = { clientX, clientY, pointerId, ctrlKey, shiftKey, altKey, metaKey }
    keep({ kind: 'press', target, button, init, count: detail }, event)
  })
  /** True until the screen answers: what the browser can do by itself it does; while what was kept is played, all comes after it. */
  const alone = () => early.held === 'all' && !early.playing
  const LEADS_ON = ['Tab', 'Shift', 'Control', 'Alt', 'Meta']
  on<KeyboardEvent>('keydown', (event, target) => {
    const { key, code, ctrlKey, shiftKey, altKey, metaKey, repeat } = event
    if (early.held === null || LEADS_ON.includes(key)) return
    // Letters go into a field by themselves, and Enter opens a link.
    const native = isField(target) ? key !== 'Escape' && key !== 'Enter' : key === 'Enter' && isNative(target)
    if (alone() && native) return
    keep({ kind: 'key', target, init: { key, code, ctrlKey, shiftKey, altKey, metaKey, repeat } }, event)
  })
  on('keyup keypress', (event) => {
    if (early.held !== null) event.stopImmediatePropagation()
  })
  on('input change', (_, target) => {
    if (!alone() || !isField(target)) return
    const { value } = target as HTMLInputElement
    const before = early.kept.find((one) => one.kind === 'value' && one.target === target)
    if (before?.kind === 'value') before.value = value
    else early.kept.push({ kind: 'value', target, value })
  })
  on<SubmitEvent>('submit', (event, target) => {
    if (alone()) keep({ kind: 'sent', target, by: event.submitter }, event)
  })
  // A file that is dropped too early is not opened in the place of the screen.
  on('dragover drop', (event) => {
    if (early.held === 'all') event.preventDefault()
  })
  // Scripts that do not come at all leave a screen that never answers: it says so.
  const failed = (event: Event) => {
    if (!(event.target instanceof HTMLScriptElement) || early.held !== 'all' || document.body === null) return
    const said = document.createElement('p')
    said.setAttribute('role', 'alert')
    said.className = 'asleep-for-good'
    said.textContent = 'The scripts of this screen did not arrive, so it cannot answer yet. Load it again.'
    if (!document.querySelector('.asleep-for-good')) document.body.append(said)
  }
  window.addEventListener('error', failed, true)
}
