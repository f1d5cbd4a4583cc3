import { createHash } from 'node:crypto'
import { readdirSync, readFileSync } from 'node:fs'
import sharp from 'sharp'
import { notExcused } from '#core/site/excuse'
import { describe, expect, test } from 'vitest'
import { checkSite, writeSite } from '#core/formats/site-json'
import { faultsIn, findings } from '#core/analysis/checks/index'
import { add, mix, ramp } from './canvas'
import { chandler } from './chandler'
import { layered, noise, seeded } from './noise'
import { observatory } from './observatory'
import { PAINTINGS } from './paintings'

describe('noise', () => {
  test('is the same for the same seed, and stays between 0 and 1', () => {
    const [a, b] = [seeded(7), seeded(7)]
    for (let i = 0; i < 200; i++) {
      const value = a()
      expect(value).toBe(b())
      expect(value).toBeGreaterThanOrEqual(0)
      expect(value).toBeLessThan(1)
      for (const at of [noise(i * 0.37, i * 0.11, 3), layered(i * 0.37, i * 0.11, 3)]) {
        expect(at).toBeGreaterThanOrEqual(0)
        expect(at).toBeLessThanOrEqual(1)
      }
    }
    expect(noise(1.5, 2.5, 1)).not.toBe(noise(1.5, 2.5, 2))
  })

  test('runs without steps', () => {
    for (let x = 0; x < 4; x += 0.01) expect(Math.abs(noise(x, 0.3, 5) - noise(x + 0.01, 0.3, 5))).toBeLessThan(0.05)
  })
})

test('colours are mixed, added and taken from a line', () => {
  expect(mix([0, 0, 0], [100, 200, 50], 0.5)).toEqual([50, 100, 25])
  expect(mix([0, 0, 0], [100, 200, 50], 9)).toEqual([100, 200, 50])
  expect(add([10, 10, 10], [1, 2, 3], 2)).toEqual([12, 14, 16])
  expect(
    ramp(
      [
        [0, [0, 0, 0]],
        [1, [100, 100, 100]],
      ],
      0.25,
    ),
  ).toEqual([25, 25, 25])
})

describe('the demo', () => {
  test.each([
    ['observatory', observatory()],
    ['chandler', chandler()],
  ])('%s is kept as its content makes it', (name, site) => {
    expect(readFileSync(`demo/${name}.site.json`, 'utf8')).toBe(writeSite(checkSite(JSON.parse(JSON.stringify(site)))))
    expect(faultsIn(notExcused(site.excuses, findings(site)))).toEqual([])
  })

  test('has every picture under the hash of its bytes, at photographic size', async () => {
    const index = JSON.parse(readFileSync('demo/pictures.json', 'utf8')) as Record<
      string,
      { hash: string; width: number; height: number }
    >
    expect(Object.keys(index)).toEqual(Object.keys(PAINTINGS))
    expect(readdirSync('demo/pictures')).toHaveLength(Object.keys(index).length)
    for (const [name, { hash, width, height }] of Object.entries(index)) {
      const bytes = readFileSync(`demo/pictures/${hash}.jpg`)
      expect(createHash('sha256').update(bytes).digest('hex'), name).toBe(hash)
      const metadata = await sharp(bytes).metadata()
      expect([metadata.width, metadata.height], name).toEqual([width, height])
      expect(width).toBeGreaterThanOrEqual(2400)
    }
  })

  test('names no real place on the web or by mail', () => {
    for (const site of [observatory(), chandler()]) {
      const addresses = JSON.stringify(site).match(/(https?:\/\/|mailto:)[^"]+/g) ?? []
      for (const address of addresses) expect(address).toMatch(/\.example(\/|$)/)
    }
  })
})
