import { strToU8, zipSync } from 'fflate'
import { expect, test } from 'vitest'
import { FormatError } from './site-json'
import { unpack } from './unpack'

const MB = 1024 * 1024
const limits = { what: 'The zip', most: 2 * MB, entry: (name: string) => (name.endsWith('.txt') ? MB : undefined) }
const zero = (size: number) => new Uint8Array(size)

test('what is wanted is unpacked, packed or stored', () => {
  for (const level of [0, 9] as const) {
    const files = unpack(zipSync({ 'a.txt': strToU8('A'), 'b.bin': strToU8('B'), 'empty.txt': zero(0) }, { level }), limits)
    expect([...files.keys()]).toEqual(['a.txt', 'empty.txt'])
    expect(new TextDecoder().decode(files.get('a.txt'))).toBe('A')
  }
})

test('what is too large is refused by what comes out, whatever the zip says of itself', () => {
  const zip = zipSync({ 'a.txt': zero(8 * MB) })
  // The size in both headers, as a liar would write it.
  const lying = zip.slice()
  new DataView(lying.buffer).setUint32(22, 10, true)
  expect(() => unpack(zip, limits)).toThrow(/“a.txt” in it weighs more than 1 MB/)
  expect(() => unpack(lying, limits)).toThrow(FormatError)
  expect(() => unpack(zipSync({ '1.txt': zero(MB), '2.txt': zero(MB), '3.txt': zero(1) }), limits)).toThrow(
    /unpacks to more than 2 MB/,
  )
  expect(unpack(zipSync({ 'a.bin': zero(8 * MB) }), limits).size).toBe(0)
})

test('a zip that is cut, overwritten or no zip is refused with a sentence or holds nothing', () => {
  const zip = zipSync({ 'a.txt': strToU8('A text that is long enough to be cut somewhere in its middle.') }, { level: 9 })
  for (let at = 1; at < zip.length; at += 3) {
    const broken = zip.slice()
    broken[at]! ^= 0x55
    for (const one of [broken, zip.subarray(0, at)]) {
      try {
        unpack(one, limits)
      } catch (error) {
        expect(error).toBeInstanceOf(FormatError)
      }
    }
  }
})
