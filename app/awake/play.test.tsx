import { act, useState } from 'react'
import { createRoot } from 'react-dom/client'
import { afterEach, expect, test } from 'vitest'
import { playOne } from './play'

afterEach(() => document.body.replaceChildren())

const put = (html: string): HTMLElement => {
  document.body.innerHTML = html
  return document.body.firstElementChild as HTMLElement
}
/** Names of all events that reach an element, in their order. */
function heard(element: Element, types: string): string[] {
  const names: string[] = []
  for (const type of types.split(' ')) element.addEventListener(type, () => names.push(type))
  return names
}

test('a press is what a browser makes of one, and two in turn are a double click', () => {
  const button = put('<button>Press</button>')
  const names = heard(button, 'pointerdown mousedown pointerup mouseup click dblclick contextmenu focus')
  playOne({ kind: 'press', target: button, button: 0, init: { clientX: 3, clientY: 4 }, count: 1 })
  expect(names).toEqual(['pointerdown', 'mousedown', 'focus', 'pointerup', 'mouseup', 'click'])
  names.length = 0
  playOne({ kind: 'press', target: button, button: 0, init: {}, count: 2 })
  expect(names.filter((one) => one === 'click')).toHaveLength(2)
  expect(names.at(-1)).toBe('dblclick')
})

test('a press of the other button asks for the menu at its place, and is no click', () => {
  const button = put('<button>Press</button>')
  const names = heard(button, 'click contextmenu')
  let at: [number, number] | undefined
  button.addEventListener('contextmenu', (event) => (at = [event.clientX, event.clientY]))
  playOne({ kind: 'press', target: button, button: 2, init: { clientX: 3, clientY: 4 }, count: 0 })
  expect(names).toEqual(['contextmenu'])
  expect(at).toEqual([3, 4])
})

test('a key goes where the focus is by then; Enter and space press what has it, unless the key was answered', () => {
  put('<div><button id="a">A</button><button id="b">B</button></div>')
  const [a, b] = [...document.querySelectorAll('button')] as [HTMLButtonElement, HTMLButtonElement]
  const [ofA, ofB] = [heard(a, 'keydown keyup click'), heard(b, 'keydown keyup click')]
  b.focus()
  playOne({ kind: 'key', target: a, init: { key: 'Enter' } })
  expect([ofA, ofB]).toEqual([[], ['keydown', 'click', 'keyup']])
  ofB.length = 0
  b.addEventListener('keydown', (event) => event.preventDefault())
  playOne({ kind: 'key', target: a, init: { key: ' ' } })
  expect(ofB).toEqual(['keydown', 'keyup'])
})

test('Enter in a field sends its form once, and what was sent too early is sent', () => {
  const form = put('<form><input name="a"><button>Send</button></form>') as HTMLFormElement
  let sent = 0
  form.addEventListener('submit', (event) => {
    event.preventDefault()
    sent++
  })
  const input = form.querySelector('input')!
  input.focus()
  playOne({ kind: 'key', target: input, init: { key: 'Enter' } })
  expect(sent).toBe(1)
  playOne({ kind: 'sent', target: form, by: form.querySelector('button') })
  expect(sent).toBe(2)
  form.remove()
  playOne({ kind: 'sent', target: form, by: null })
  expect(sent).toBe(2)
})

test('a value that was typed before React had the field reaches what React keeps of it, and is kept when the field is left', () => {
  const seen: string[] = []
  const left: string[] = []
  function Field() {
    const [value, setValue] = useState('from the server')
    return (
      <input
        value={value}
        onChange={(event) => {
          seen.push(event.target.value)
          setValue(event.target.value)
        }}
        onBlur={(event) => left.push(event.target.value)}
      />
    )
  }
  const host = put('<div></div>')
  ;(globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }).IS_REACT_ACT_ENVIRONMENT = true
  const root = createRoot(host)
  act(() => root.render(<Field />))
  const input = host.querySelector('input')!
  act(() => playOne({ kind: 'value', target: input, value: 'typed early' }))
  expect(seen).toEqual(['typed early'])
  expect(left).toEqual(['typed early'])
  expect(input.value).toBe('typed early')
  act(() => root.unmount())
})
