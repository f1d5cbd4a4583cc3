import { expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import type { Block } from '#core/blocks/index'
import { demoSite } from '#core/edits/edits.fixture'
import { testIds } from '#core/values/ids.fixture'
import { readFont } from './fonts'
import { weightsOf } from './weights'

test('a page weighs its own texts and the fonts that it is set in, in each view and at both densities', async () => {
  const makeId = testIds()
  const demo = demoSite()
  const [autumn] = demo.pages
  const text: Block = { ...newBlock('text', makeId), words: { en: ['The dome opens at dusk'] } } as Block
  const plain = {
    ...autumn!,
    id: 'plain',
    name: 'Plain',
    address: 'plain',
    sections: [{ ...newSection('reasons', makeId), children: [text] }],
  }
  const site = { ...demo, pages: [autumn!, plain] }
  const weights = await weightsOf(
    site,
    {},
    {
      // A picture weighs as many bytes as it is wide.
      picture: (picture, width) => Promise.resolve(new Uint8Array(width ?? picture.width)),
      font: (name) => readFont(name, 'demo'),
    },
  )
  expect(weights.map((one) => [one.page, one.width, one.density])).toEqual(
    [autumn!, plain].flatMap(({ id }) => site.views.flatMap((width) => [1, 2].map((density) => [id, width, density]))),
  )
  const [own, other] = [autumn!.id, 'plain'].map((id) => weights.find((one) => one.page === id)!)
  expect(other!.taken).toBe(0)
  expect(own!.taken).toBeGreaterThan(1000)
  // The face of the headings is not on the plain page.
  expect(other!.fonts).toBeGreaterThan(5_000)
  expect(own!.fonts).toBeGreaterThan(other!.fonts + 5_000)
  expect(own!.html).toBeGreaterThan(other!.html)
  expect(other!.css).toBe(own!.css)
})
