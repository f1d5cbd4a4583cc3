import { describe, expect, test } from 'vitest'
import { placeOfTab } from './name-tab'

const view = { width: 400, height: 600 }
const tab = { width: 60, height: 18 }
const box = { left: 20, top: 200, width: 200, height: 40 }

describe('the name on a selection', () => {
  test('stands above it, at its left end', () => {
    expect(placeOfTab(box, tab, view, [])).toEqual({ left: 17, top: 179 })
  })

  test('covers no words: it goes to the other end, below, or into a corner', () => {
    const above = { left: 20, top: 180, width: 80, height: 16 }
    expect(placeOfTab(box, tab, view, [above])).toEqual({ left: 163, top: 179 })
    const whole = { left: 20, top: 180, width: 380, height: 16 }
    expect(placeOfTab(box, tab, view, [whole])).toEqual({ left: 17, top: 243 })
    const under = { left: 0, top: 244, width: 400, height: 16 }
    expect(placeOfTab(box, tab, view, [whole, under])).toEqual({ left: 163, top: 201 })
  })

  test('stays in its view, and is left out where words are everywhere', () => {
    const edge = placeOfTab({ left: 380, top: 4, width: 20, height: 10 }, tab, view, [])!
    expect(edge.left + tab.width).toBeLessThanOrEqual(view.width)
    expect(edge.top).toBeGreaterThanOrEqual(0)
    expect(placeOfTab(box, tab, view, [{ left: 0, top: 0, width: 400, height: 600 }])).toBeUndefined()
  })
})
