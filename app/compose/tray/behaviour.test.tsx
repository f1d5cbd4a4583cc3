import { act } from 'react'
import { afterEach, describe, expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { type MotionKind, motionsIn } from '#core/motion/motion'
import { newMotion } from '#core/motion/new-motion'
import { findBlock, walkPage } from '#core/site/tree'
import { edit, select, undo } from '../../session/store'
import type { Stage } from '../../style/style.fixture'
import { setMotions } from '../motion/set-motion'
import { MotionColumn } from './motion-column'
import { MotionPoses } from './motion-poses'
import { MotionRange } from './motion-range'
import { StatesColumn } from './states-column'
import { trayOf } from './tray.fixture'

Object.assign(globalThis, { matchMedia: () => ({ matches: false }) })

const blocks = [...walkPage(demoSite().pages[0]!)]
const words = blocks.find((block) => block.kind === 'text')!
const reason = blocks.find((block) => block.kind === 'group')!
const button = blocks.find((block) => block.kind === 'button')!

let now: Stage
afterEach(() => now.end())
const open = (id: string) => {
  now = trayOf(id, ({ block }, style) => (
    <>
      <StatesColumn style={style} />
      <MotionColumn block={block} />
      <MotionRange block={block} />
      <MotionPoses block={block} />
    </>
  ))
}
const styleOf = (id: string) => findBlock(now.site(), id)!.block.style
const motionsOf = (id: string) => motionsIn(styleOf(id).base?.motion)

describe('the states of a block', () => {
  test('are edited one at a time, and say in the tray which of them are set', () => {
    open(words.id)
    now.press('Hover')
    now.type('Lift', '6')
    now.type('Opacity', '80')
    expect(styleOf(words.id).hover).toEqual({ lift: 6, opacity: 0.8 })
    expect(now.host.textContent).toContain('Under the pointer')
    expect(now.named('Hover ·').getAttribute('aria-pressed')).toBe('true')
  })

  test('take their time, which is one step each to undo', () => {
    open(words.id)
    now.press('Hover')
    now.type('Lift', '6')
    now.type('How long the change takes', '400')
    expect(styleOf(words.id).base!.transition).toMatchObject({ duration: 0.4 })
    act(() => undo(now.store))
    expect(styleOf(words.id).base?.transition).toBeUndefined()
    expect(styleOf(words.id).hover).toEqual({ lift: 6 })
  })

  test('of a button that leads nowhere can be that it cannot be pressed', () => {
    open(button.id)
    act(() => edit(now.store, { kind: 'field', block: button.id, field: 'link', value: null }))
    const box = [...now.host.querySelectorAll('label')].find((one) => one.textContent!.includes('Cannot be pressed'))
    act(() => box!.querySelector('input')!.click())
    expect(findBlock(now.site(), button.id)!.block).toMatchObject({ disabled: true })
  })
})

const begin = (...kinds: MotionKind[]) => {
  const { block } = findBlock(now.site(), words.id)!
  act(() => setMotions(now.store, block, [...motionsOf(words.id), ...kinds.map((kind) => newMotion(kind, false))]))
}

describe('the motions of a block', () => {
  test('are listed, changed by their fields, and taken out one by one', () => {
    open(words.id)
    begin('parallax', 'reveal')
    now.type('Speed of parallax', '150')
    act(() => now.store.setState({ motionAt: 1 }))
    now.type('How long it takes', '900')
    now.type('Line of the window', '60')
    expect(motionsOf(words.id)).toMatchObject([
      { kind: 'parallax', speed: 1.5 },
      { kind: 'reveal', duration: 0.9, line: { value: 60, unit: '%' } },
    ])
    now.press(/^Take out parallax/i)
    expect(motionsOf(words.id).map((one) => one.kind)).toEqual(['reveal'])
    act(() => undo(now.store))
    expect(motionsOf(words.id)).toHaveLength(2)
  })

  test('in a narrower range are that range’s own, and none there leaves the wider ones be', () => {
    open(words.id)
    begin('parallax')
    const narrow = now.site().breakpoints.at(-1)!.id
    act(() => now.store.setState({ scope: { below: narrow } }))
    now.press(/^Take out parallax/i)
    expect(styleOf(words.id).below?.[narrow]?.motion).toBe('none')
    expect(motionsOf(words.id)).toHaveLength(1)
  })

  test('are set for all states where a state is edited, and for one direction where that is asked for', () => {
    open(words.id)
    act(() => now.store.setState({ scope: 'hover' }))
    begin('opening')
    expect(motionsOf(words.id)).toMatchObject([{ kind: 'opening' }])
    expect(styleOf(words.id).hover).toBeUndefined()
    act(() => now.store.setState({ onlyHere: true }))
    begin('parallax')
    expect(motionsOf(words.id)).toHaveLength(1)
    expect(now.site().directions[0]!.restyled[words.id]?.base?.motion).toHaveLength(2)
  })

  test('have poses of figures, where what is at rest is said by nothing', () => {
    open(words.id)
    begin('reveal')
    now.type('Down, from', '80')
    now.type('Opacity, from', '50')
    expect(motionsOf(words.id)[0]).toMatchObject({ from: { opacity: 0.5, down: { value: 80, unit: 'px' } } })
    now.type('Scale, from', '0.9')
    expect(motionsOf(words.id)[0]).toMatchObject({ from: { scale: 0.9 } })
  })
  test('that go on and on have a time and a way, and a strip is for groups', () => {
    open(words.id)
    begin('loop')
    now.type('Seconds of one way', '6')
    now.type('Turn, to', '8')
    expect(motionsOf(words.id)[0]).toMatchObject({ kind: 'loop', duration: 6, to: { turn: 8 } })
    now.type('Seconds of one way', '0.1')
    expect(motionsOf(words.id)[0]).not.toMatchObject({ duration: 0.1 })
    expect(now.host.textContent).toContain('Visitors pause it by a button')
    act(() => setMotions(now.store, words, [newMotion('strip', false)]))
    now.type('Seconds until all have passed', '60')
    expect(motionsOf(words.id)[0]).toMatchObject({ kind: 'strip', duration: 60 })
    expect(now.host.textContent).toContain('It rests: only a group passes')
    act(() => select(now.store, reason.id))
    act(() => setMotions(now.store, reason, [newMotion('strip', false)]))
    expect(now.host.textContent).toContain('Lay the group out as a row')
  })

  test('come after the scroll by a time, and lose it where that is cleared', () => {
    open(words.id)
    begin('scrub')
    now.type('Time to catch up with the scroll', '300')
    expect(motionsOf(words.id)[0]).toMatchObject({ kind: 'scrub', smooth: 0.3 })
    now.type('Time to catch up with the scroll', '')
    expect(motionsOf(words.id)[0]).not.toHaveProperty('smooth')
  })

  test('show the colours that they move, each at each state', () => {
    open(words.id)
    act(() => setMotions(now.store, words, [{ kind: 'loop', to: { scale: 1, colours: { ink: { role: 'accent' } } }, duration: 4 }]))
    expect(now.named(/^Colour ink, /).textContent).toContain('accent')
  })
})
