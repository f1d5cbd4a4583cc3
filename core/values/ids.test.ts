import { expect, test } from 'vitest'
import { idSchema } from './ids'
import { nameSchema } from './name'

test.each(['__proto__', 'constructor', 'toString', 'valueOf', 'hasOwnProperty', 'isPrototypeOf'])(
  '%s is neither id nor name',
  (name) => {
    expect(idSchema.safeParse(name).success).toBe(false)
    expect(nameSchema.safeParse(name).success).toBe(false)
  },
)

test('ids and names that look like nothing else are taken', () => {
  for (const id of ['a', 'h1', '_x-9', 'proto', 'A'.repeat(24)]) expect(idSchema.safeParse(id).success).toBe(true)
  for (const name of ['ink', 'space-5', 'prototype']) expect(nameSchema.safeParse(name).success).toBe(true)
})
