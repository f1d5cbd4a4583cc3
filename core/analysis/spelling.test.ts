import { expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { applyEdit } from '#core/edits/index'
import { walkPage } from '#core/site/tree'
import { wordsToSpell } from './spelling'

test('words are taken once each, without addresses, figures and what is written in capitals', () => {
  const site = demoSite()
  const text = [...walkPage(site.pages[0]!)].find((one) => one.kind === 'text')!
  const words = 'The BBC wrote to dome@hollin.org and www.hollin.org: 5th night, don’t re-use “obser\u00advatory”. The end, a b'
  const after = applyEdit(site, { kind: 'words', block: text.id, words: { en: [words] } }).site
  const found = wordsToSpell(after, after.pages[0]!)
    .filter((one) => one.block === text.id)
    .map((one) => one.word)
  for (const one of ['wrote', 'don’t', 're-use', 'observatory']) expect(found).toContain(one)
  for (const one of ['BBC', '5th', 'dome', 'hollin', 'www', 'a', 'b']) expect(found).not.toContain(one)
  expect(found.filter((one) => one === 'The').length).toBeLessThanOrEqual(1)
})
