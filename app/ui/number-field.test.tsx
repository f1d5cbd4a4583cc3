import { act } from 'react'
import { createRoot } from 'react-dom/client'
import { beforeEach, describe, expect, test, vi } from 'vitest'
import { NumberField } from './number-field'

Object.assign(globalThis, {
  IS_REACT_ACT_ENVIRONMENT: true,
  ResizeObserver: class {
    observe() {}
    disconnect() {}
  },
})

let host: HTMLElement
const onChange = vi.fn()
beforeEach(() => {
  document.body.replaceChildren((host = document.createElement('div')))
  onChange.mockReset()
  act(() => createRoot(host).render(<NumberField label="Columns" value={4} least={1} most={12} whole onChange={onChange} />))
})
const input = () => host.querySelector('input')!
const type = (text: string) =>
  act(() => {
    Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!.call(input(), text)
    input().dispatchEvent(new Event('input', { bubbles: true }))
  })
const press = (key: string) => act(() => void input().dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true })))
const said = () => document.querySelector('[role="alert"]')?.textContent ?? ''

describe('a field of figures', () => {
  test.each(['0', '-3', '1e9', 'NaN', '13', '2.5', 'two'])(
    'refuses %s with what it takes, and keeps it to be corrected',
    (text) => {
      type(text)
      press('Enter')
      expect(said()).toContain('Columns takes a whole number from 1 to 12.')
      expect([input().value, input().getAttribute('aria-invalid')]).toEqual([text, 'true'])
      expect(onChange).not.toHaveBeenCalled()
      press('Escape')
      expect([input().value, said()]).toEqual(['4', ''])
    },
  )

  test('takes what is in its range, and keeps arrow keys inside it', () => {
    type('7')
    press('Enter')
    expect(onChange).toHaveBeenLastCalledWith(7)
    type('12')
    press('ArrowUp')
    expect(onChange).toHaveBeenLastCalledWith(12)
    expect(said()).toBe('')
  })
})
