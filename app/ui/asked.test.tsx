import { act } from 'react'
import { createRoot } from 'react-dom/client'
import { expect, test } from 'vitest'
import { useAsked } from './asked'

Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true })

type Point = { x: number }

/** A field that is shown with a value, and what its arrow key does. */
function field() {
  let now!: ReturnType<typeof useAsked<Point>>
  function Field({ value }: { value: Point }) {
    now = useAsked(value)
    return null
  }
  const root = createRoot(document.createElement('div'))
  return {
    show: (x: number) => act(() => root.render(<Field value={{ x }} />)),
    press: () => now[1]({ x: Math.min(80, now[0]().x + 5) }),
    back: () => now[1]({ x: now[0]().x - 5 }),
    newest: () => now[0]().x,
  }
}

test('what is pressed while older presses are shown counts from the newest', () => {
  const { show, press, newest } = field()
  show(50)
  press()
  press()
  // Only now the first is shown.
  show(55)
  press()
  show(60)
  press()
  expect(newest()).toBe(70)
  show(70)
  expect(newest()).toBe(70)
})

test('what comes from elsewhere holds, whatever was asked', () => {
  const { show, press, newest } = field()
  show(50)
  press()
  press()
  show(3)
  expect(newest()).toBe(3)
})

test('presses beyond a limit are not counted on the way back', () => {
  const { show, press, back, newest } = field()
  show(80)
  press()
  press()
  back()
  expect(newest()).toBe(75)
})
