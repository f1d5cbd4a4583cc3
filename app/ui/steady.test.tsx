import { act } from 'react'
import { createRoot } from 'react-dom/client'
import { beforeEach, describe, expect, test } from 'vitest'
import { steady } from './steady'

type Props = { value: unknown; label?: string; onPress: (by: number) => string }

let drawn: number
let press: (by: number) => string
const Part = steady(({ value, label, onPress }: Props) => {
  drawn++
  press = onPress
  return <p title={label}>{JSON.stringify(value)}</p>
})

Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true })
let show: (props: Props) => void
let host: HTMLElement
beforeEach(() => {
  drawn = 0
  host = document.createElement('div')
  const root = createRoot(host)
  show = (props) => act(() => root.render(<Part {...props} />))
})
const nothing = () => ''

describe('a steady part', () => {
  test('is drawn again only when what it shows differs', () => {
    show({ value: { a: [1, 2] }, onPress: nothing })
    show({ value: { a: [1, 2] }, onPress: () => 'other' })
    expect(drawn).toBe(1)
    show({ value: { a: [1, 3] }, onPress: nothing })
    expect(drawn).toBe(2)
    expect(host.textContent).toBe('{"a":[1,3]}')
  })

  test('notices values that come and go', () => {
    show({ value: 1, onPress: nothing })
    show({ value: 1, label: 'x', onPress: nothing })
    expect(host.querySelector('p')?.title).toBe('x')
    show({ value: 1, onPress: nothing })
    expect(host.querySelector('p')?.title).toBe('')
    expect(drawn).toBe(3)
  })

  test('always calls the newest callback, also one that it was not drawn with', () => {
    show({ value: 1, onPress: (by) => `first ${by}` })
    show({ value: 1, onPress: (by) => `second ${by}` })
    expect(drawn).toBe(1)
    expect(press(3)).toBe('second 3')
  })
})
