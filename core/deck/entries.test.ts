import fc from 'fast-check'
import { expect, test } from 'vitest'
import type { Role } from '#core/values/passage-role'
import { entryNumbers, type Seen, signsFor } from './entries'

const seen = (text: string): Seen[] =>
  text.split(' ').map((word) => {
    const sign = word.startsWith('*') ? ('next' as const) : word.startsWith('-') ? ('own' as const) : undefined
    const name = word.replace(/^[*-]/, '')
    return { role: (name === 'deep' ? 'heading' : name) as Role, deep: name === 'deep', ...(sign ? { sign } : {}) }
  })

test.each([
  ['heading text deep text deep text', '0 0 1 1 2 2'],
  ['heading eyebrow deep text eyebrow deep', '0 1 1 1 2 2'],
  ['deep text -text', '1 1 0'],
  ['heading quote source quote source', '0 1 1 2 2'],
  ['heading deep quote deep quote', '0 1 1 2 2'],
  ['heading quote source', '0 0 0'],
  ['heading *link link *link text', '0 1 1 2 2'],
  ['heading *deep deep *text', '0 1 1 2'],
  ['-heading quote quote', '0 0 0'],
])('%s belongs to the entries %s', (text, numbers) => {
  expect(entryNumbers(seen(text)).join(' ')).toBe(numbers)
})

const roles = fc.constantFrom<Role>('eyebrow', 'heading', 'text', 'quote', 'source', 'link', 'item')
const runs = fc.array(fc.record({ entry: fc.boolean(), roles: fc.array(roles, { minLength: 1, maxLength: 4 }) }), { maxLength: 6 })

test('with the signs that it gets, any section is read with the entries that it has', () => {
  fc.assert(
    fc.property(runs, (list) => {
      let count = 0
      const passages = list.flatMap((run) => {
        const entry = run.entry ? ++count : 0
        return run.roles.map((role) => ({ role, entry }))
      })
      const signs = signsFor(passages)
      const read = passages.map(({ role, entry }, i): Seen => {
        const sign = signs[i]
        return { role, deep: role === 'heading' && entry > 0, ...(sign ? { sign } : {}) }
      })
      expect(entryNumbers(read)).toEqual(passages.map((one) => one.entry))
    }),
    { numRuns: 500 },
  )
})
