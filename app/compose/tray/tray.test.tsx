import { act } from 'react'
import { afterEach, describe, expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import type { Site } from '#core/site/schema'
import { findBlock, walkPage } from '#core/site/tree'
import type { Stage } from '../../style/style.fixture'
import { undo } from '../../session/store'
import { ExtrasColumn } from './extras-column'
import { ScopeColumn } from './scope-column'
import { SurfaceColumn } from './surface-column'
import { trayOf } from './tray.fixture'

const heading = [...walkPage(demoSite().pages[0]!)].find((block) => block.kind === 'heading')!
const picture = [...walkPage(demoSite().pages[0]!)].findLast((block) => block.kind === 'picture')!
const group = [...walkPage(demoSite().pages[0]!)].find((block) => block.kind === 'group')!

let now: Stage
afterEach(() => now.end())
const open = (id: string) => {
  now = trayOf(id, (place, style) => (
    <>
      <ScopeColumn place={place} />
      <SurfaceColumn style={style} />
      <ExtrasColumn block={place.block} />
      <output>{String(style.get('opacity') ?? 1)}</output>
      <button type="button" onClick={() => style.set({ opacity: 0.5 })}>
        Half
      </button>
      <button type="button" onClick={() => style.set({ opacity: 0.25 })}>
        Quarter
      </button>
    </>
  ))
}
const own = (of: Site, id: string) => findBlock(of, id)!.block.style.base?.opacity
const restyled = (of: Site, id: string) => of.directions[0]!.restyled[id]?.base?.opacity
const shown = () => now.host.querySelector('output')!.textContent

describe('a style that holds in one direction alone', () => {
  test('is set there while that is asked for, and shown over what all directions have', () => {
    open(heading.id)
    now.press('Half')
    expect([own(now.site(), heading.id), restyled(now.site(), heading.id), shown()]).toEqual([0.5, undefined, '0.5'])
    const box = now.host.querySelector<HTMLInputElement>('input[type=checkbox]')!
    expect(box.closest('label')!.textContent).toBe('In Lamplight alone')
    box.click()
    now.press('Quarter')
    expect([own(now.site(), heading.id), restyled(now.site(), heading.id), shown()]).toEqual([0.5, 0.25, '0.25'])
  })

  test('stays that direction’s when it is changed again, and goes back to all in one step', () => {
    open(heading.id)
    act(() => now.store.setState({ onlyHere: true }))
    now.press('Quarter')
    act(() => now.store.setState({ onlyHere: false }))
    now.press('Half')
    expect([own(now.site(), heading.id), restyled(now.site(), heading.id)]).toEqual([undefined, 0.5])
    now.press(/^Restyled here/)
    expect(now.site()).toEqual(demoSite())
    undo(now.store)
    expect(restyled(now.site(), heading.id)).toBe(0.5)
  })
})

describe('a contact shadow', () => {
  test('has a height, takes the colour of the light’s shadows, and goes when its field is emptied', () => {
    open(picture.id)
    now.type('Contact shadow', '24')
    expect(findBlock(now.site(), picture.id)!.block.style.base!.contact).toEqual({
      height: 24,
      colour: { role: 'night', alpha: 0.4 },
    })
    now.type('Contact shadow', '')
    expect(findBlock(now.site(), picture.id)!.block.style.base).not.toHaveProperty('contact')
  })
})

test('a group says whether it is an entry, and which look it has', () => {
  open(group.id)
  expect(now.named('Look of the group').textContent).toContain('None')
  act(() => now.store.setState({ selection: heading.id }))
  expect(now.host.textContent).not.toContain('Look of the group')
})
