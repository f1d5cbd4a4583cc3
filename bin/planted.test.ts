import { readFileSync } from 'node:fs'
import { expect, test } from 'vitest'
import { FAULTS } from './planted-faults.mjs'

test('each fault that can be planted is still one: its place is there once, and so is the test that must fail', () => {
  expect(FAULTS).toHaveLength(20)
  for (const { what, file, from, to, spec, test: title } of FAULTS) {
    expect(readFileSync(file, 'utf8').split(from), `${what}: ${file}`).toHaveLength(2)
    expect(to).not.toBe(from)
    expect(readFileSync(`e2e/${spec}`, 'utf8'), `${what}: ${spec}`).toContain(title)
  }
})
