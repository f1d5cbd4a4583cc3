import type { Kept } from './early'

const FOCUSABLE = 'button, a[href], input, select, textarea, [tabindex]'

/** The next moment at which what was done before has been drawn, and what it opened has the focus. */
export const drawn = (): Promise<void> =>
  new Promise((done) => {
    // A page that is not seen has no frames.
    const late = setTimeout(done, 100)
    requestAnimationFrame(() => {
      clearTimeout(late)
      setTimeout(done)
    })
  })

const editable = (one: Element): boolean =>
  one.matches('input:not([type=checkbox], [type=radio], [type=range]), textarea') ||
  (one instanceof HTMLElement && one.isContentEditable)

function press({ target, button, init, count }: Extract<Kept, { kind: 'press' }>): void {
  const at = target.isConnected ? target : document.elementFromPoint(init.clientX ?? 0, init.clientY ?? 0)
  if (!at) return
  const common = {
    ...init,
    bubbles: true,
    cancelable: true,
    composed: true,
    isPrimary: true,
    pointerType: 'mouse',
    button,
  }
  for (let n = 1; n <= Math.max(1, count); n++) {
    const down = { ...common, buttons: button === 2 ? 2 : 1, detail: n }
    const opened = !at.dispatchEvent(new PointerEvent('pointerdown', down))
    const kept = !at.dispatchEvent(new MouseEvent('mousedown', down))
    // What opens by itself moves the focus by itself.
    if (!opened && !kept) at.closest<HTMLElement>(FOCUSABLE)?.focus()
    at.dispatchEvent(new PointerEvent('pointerup', { ...common, buttons: 0, detail: n }))
    at.dispatchEvent(new MouseEvent('mouseup', { ...common, buttons: 0, detail: n }))
    if (button === 2) at.dispatchEvent(new MouseEvent('contextmenu', common))
    else at.dispatchEvent(new PointerEvent('click', { ...common, buttons: 0, detail: n }))
  }
  if (count === 2) at.dispatchEvent(new MouseEvent('dblclick', { ...common, detail: 2 }))
}

/** A key where the focus is now; what browsers do after it, which a script cannot ask of them, is done here. */
function type({ target, init }: Extract<Kept, { kind: 'key' }>): void {
  const at = editable(target) && target.isConnected ? target : (document.activeElement ?? document.body)
  const event = { ...init, bubbles: true, cancelable: true, composed: true }
  const answered = !at.dispatchEvent(new KeyboardEvent('keydown', event))
  const now = document.activeElement ?? at
  const plain = !init.ctrlKey && !init.metaKey && !init.altKey
  if (!answered && plain && editable(now)) {
    // The one way by which text comes into any field as if it were typed, with its events and its undo.
    if (init.key?.length === 1) document.execCommand('insertText', false, init.key)
    else if (init.key === 'Backspace') document.execCommand('delete')
    else if (init.key === 'Enter' && now instanceof HTMLInputElement) now.form?.requestSubmit()
  } else if (!answered && plain && (init.key === 'Enter' || init.key === ' '))
    now.closest<HTMLElement>('button, a[href], summary, input')?.click()
  at.dispatchEvent(new KeyboardEvent('keyup', event))
}

/** A value that was typed: put in as if it were typed now, whatever became of it meanwhile. */
function value({ target, value: typed }: Extract<Kept, { kind: 'value' }>): void {
  const field = target as HTMLInputElement
  if (!field.isConnected) return
  // React looks whether a value differs from the last that was set on the element itself, not by its prototype.
  field.value = `${typed}\u200b`
  Object.getOwnPropertyDescriptor(Object.getPrototypeOf(field) as object, 'value')!.set!.call(field, typed)
  field.dispatchEvent(new InputEvent('input', { bubbles: true }))
  field.dispatchEvent(new Event('change', { bubbles: true }))
  if (document.activeElement !== field) field.dispatchEvent(new FocusEvent('focusout', { bubbles: true }))
}

/** Plays one thing that was kept, as the browser would have done it. */
export function playOne(one: Kept): void {
  if (one.kind === 'press') press(one)
  else if (one.kind === 'key') type(one)
  else if (one.kind === 'value') value(one)
  else if (one.target.isConnected) (one.target as HTMLFormElement).requestSubmit(one.by)
}
