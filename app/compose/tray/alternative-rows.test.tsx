import { act } from 'react'
import { afterEach, expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { findBlock, walkPage } from '#core/site/tree'
import type { Stage } from '../../style/style.fixture'
import { AlternativeRows } from './alternative-rows'
import { trayOf } from './tray.fixture'

const picture = [...walkPage(demoSite().pages[0]!)].find((block) => block.kind === 'picture' && block.alt?.en)!

let now: Stage
afterEach(() => now.end())
const altOf = () => (findBlock(now.site(), picture.id)!.block as { alt?: Record<string, string> }).alt

test('a picture is marked as decoration, and an emptied text is one that is missing', () => {
  now = trayOf(picture.id, ({ block }) => <AlternativeRows block={block as never} label="Alternative text" />)
  const mark = now.host.querySelector<HTMLInputElement>('input[type=checkbox]')!
  act(() => mark.click())
  expect(altOf()).toEqual({ en: '' })
  expect(now.host.querySelector('textarea')!.disabled).toBe(true)
  act(() => mark.click())
  expect(altOf()).toBeUndefined()
  expect(now.host.textContent).toContain('Say what is seen, or mark it as decoration.')
  now.type('Alternative text', 'A dome on a ridge')
  expect(altOf()).toEqual({ en: 'A dome on a ridge' })
  now.type('Alternative text', '')
  expect(altOf()).toBeUndefined()
})
