import { expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { applyEdit, type Edit } from '#core/edits/index'
import { EMPTY_PAGE_BRIEF } from '#core/site/brief'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { brokenLinks, linksAfterRename } from './links'

const after = (from: Site, ...edits: Edit[]) => edits.reduce((now: Site, edit) => applyEdit(now, edit).site, from)
const winter = {
  id: 'winter',
  name: 'Winter',
  address: 'winter',
  title: {},
  description: {},
  brief: EMPTY_PAGE_BRIEF,
  sections: [],
}
const start = after(demoSite(), { kind: 'page-add', index: 1, page: winter })
const [text] = [...walkPage(start.pages[0]!)].filter((block) => block.kind === 'text')
const [button] = [...walkPage(start.pages[0]!)].filter((block) => block.kind === 'button')
const say = (href: string): Edit => ({
  kind: 'words',
  block: text!.id,
  words: { en: ['See ', { kind: 'link', href, children: ['there'] }] },
})

test.each([
  ['winter.html', 0],
  ['/winter', 0],
  ['#reasons', 0],
  ['index.html#reasons', 0],
  ['https://elsewhere.example', 0],
  ['mailto:a@b.example', 0],
  ['spring.html', 1],
  ['#nowhere', 1],
  ['winter.html#reasons', 1],
])('a link in words to %s is broken %i times', (href, count) => {
  expect(brokenLinks(after(start, say(href)))).toHaveLength(count)
})

test('links of blocks to what is gone are found, with the block', () => {
  const led = after(start, { kind: 'field', block: button!.id, field: 'link', value: { page: 'winter' } })
  expect(brokenLinks(led)).toEqual([])
  expect(brokenLinks(after(led, { kind: 'page-remove', page: 'winter' }))).toMatchObject([
    { block: button!.id, sentence: expect.stringContaining('gone') },
  ])
})

test('links follow a renamed address, in words and typed by hand, and only those', () => {
  const site = after(start, say('winter.html#top'), { kind: 'field', block: button!.id, field: 'link', value: { href: '/winter' } })
  const edits = linksAfterRename(site, site.pages[1]!, 'winter-sky')
  const next = after(site, ...edits)
  const blocks = [...walkPage(next.pages[0]!)]
  expect(blocks.find((block) => block.id === text!.id)).toMatchObject({ words: { en: ['See ', { href: 'winter-sky.html#top' }] } })
  expect(blocks.find((block) => block.id === button!.id)).toMatchObject({ link: { href: 'winter-sky.html' } })
  expect(edits).toHaveLength(2)
})
