import { act, useState } from 'react'
import { createRoot } from 'react-dom/client'
import { beforeEach, expect, test, vi } from 'vitest'
import { LineField } from './line-field'

Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true })

let host: HTMLElement
const onWrite = vi.fn()
/** Gives the field the text that the site has, whenever that comes back. */
let show: (of: string, text: string) => void
function Site() {
  const [{ of, text }, set] = useState({ of: 'one', text: 'A bat' })
  show = (next, value) => act(() => set({ of: next, text: value }))
  return <LineField label="Words" of={of} value={text} onWrite={onWrite} />
}
beforeEach(() => {
  document.body.replaceChildren((host = document.createElement('div')))
  onWrite.mockReset()
  act(() => createRoot(host).render(<Site />))
})
const field = () => host.querySelector('input')!
/** A key, as the browser types it: onto what the field holds at that moment. */
const key = (letter: string) =>
  act(() => {
    Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!.call(field(), field().value + letter)
    field().dispatchEvent(new Event('input', { bubbles: true }))
  })
const written = () => onWrite.mock.calls.map(([text]) => text as string)

test('every letter stays, however late and in what order what was typed comes back', () => {
  act(() => field().focus())
  key('s')
  key(' fly')
  // The first letter has been through the site only now.
  show('one', 'A bats')
  expect(field().value).toBe('A bats fly')
  key('.')
  show('one', 'A bat')
  expect(field().value).toBe('A bats fly.')
  expect(written()).toEqual(['A bats', 'A bats fly', 'A bats fly.'])
})

test('left, it shows what the site has; another block’s text is never mixed with it', () => {
  act(() => field().focus())
  key('!')
  show('two', 'Another')
  expect(field().value).toBe('Another')
  show('one', 'A bat of ours')
  act(() => field().blur())
  expect(field().value).toBe('A bat of ours')
})

test('what is typed in one visit is one gesture, and the next visit another', () => {
  const visit = (letters: string) => {
    act(() => field().focus())
    for (const letter of letters) key(letter)
    act(() => field().blur())
  }
  visit('ab')
  visit('c')
  const gestures = onWrite.mock.calls.map(([, gesture]) => gesture as string)
  expect(gestures[0]).toBe(gestures[1])
  expect(gestures[2]).not.toBe(gestures[1])
})
