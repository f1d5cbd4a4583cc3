import { existsSync, readFileSync } from 'node:fs'
import { describe, expect, test } from 'vitest'
import { iconSchema } from '#core/values/icon'
import { FAMILIES, familyOf, fontFaceCss, fontFiles, fontStack, needsSubset } from './families'

describe('every family', () => {
  test.each(FAMILIES.map((one) => [one.name, one] as const))('%s ships with all its files, under an open licence', (_, family) => {
    const folder = `node_modules/@fontsource-variable/${family.id}`
    for (const file of fontFiles(family)) expect(existsSync(`${folder}/files/${file.name}`), file.name).toBe(true)
    const { license } = JSON.parse(readFileSync(`${folder}/metadata.json`, 'utf8')) as { license: { type: string } }
    expect(license.type).toMatch(/^(OFL-1\.1|Apache-2\.0)$/)
  })

  test.each(FAMILIES.map((one) => [one.name, one] as const))('%s has the weights that its file has', (_, family) => {
    const metadata = JSON.parse(readFileSync(`node_modules/@fontsource-variable/${family.id}/metadata.json`, 'utf8')) as {
      variable: { wght: { min: string; max: string } }
    }
    expect(family.weights).toEqual([Number(metadata.variable.wght.min), Number(metadata.variable.wght.max)])
  })
})

test('a family has something to stand in for it, and an unknown one is the system’s', () => {
  expect(fontStack('fraunces')).toBe('"Fraunces", "Fraunces fallback", serif')
  expect(fontStack('nowhere')).toBe('system-ui, sans-serif')
  expect(familyOf('nowhere')).toBeUndefined()
})

test('a font face names its characters, unless it is the only file', () => {
  const [file] = fontFiles(familyOf('lora')!)
  expect(fontFaceCss(file!, 'a.woff2')).toContain('unicode-range: U+0000-00FF')
  expect(fontFaceCss(file!, 'a.woff2', true)).not.toContain('unicode-range')
  expect(fontFaceCss(file!, 'a.woff2')).toContain('font-weight: 400 700')
})

test.each([
  ['Bring a coat', false],
  ['Café, naïve, £4 – “yes”', false],
  ['Dŵr a thân', true],
  ['Łódź', true],
])('“%s” needs extended Latin: %s', (text, needed) => {
  expect(needsSubset('latin', text)).toBe(true)
  expect(needsSubset('latin-ext', text)).toBe(needed)
})

describe('an icon', () => {
  test('is shapes alone', () => {
    expect(iconSchema.safeParse({ name: 'dot', nodes: [['circle', { cx: '12', cy: '12', r: '2' }]] }).success).toBe(true)
  })

  test.each<[string, unknown]>([
    ['a script', { name: 'x', nodes: [['script', {}]] }],
    ['an event', { name: 'x', nodes: [['path', { onclick: 'x()' }]] }],
    ['a reference', { name: 'x', nodes: [['path', { d: 'url(https://a.example)' }]] }],
    ['a name that is none', { name: '../x', nodes: [] }],
  ])('with %s is refused', (_, icon) => {
    expect(iconSchema.safeParse(icon).success).toBe(false)
  })
})
