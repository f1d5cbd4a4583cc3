import { expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { checkSite } from '#core/formats/site-json'
import { siteAddressSchema } from './launch'

test.each(['https://example.org', 'https://example.org/nights', 'https://a.example.org:8443/a.b/~c', 'https://example.org/v1.2'])(
  '%s is an address that a site may have',
  (address) => {
    expect(siteAddressSchema.parse(address)).toBe(address)
  },
)

test.each([
  'http://example.org',
  'https://example.org/',
  'https://example.org/a/../b',
  'https://example.org/..',
  'https://example.org/./a',
  'https://example.org:99999',
  'https://example.org:443',
  'https://EXAMPLE.org',
])('%s is none', (address) => {
  expect(siteAddressSchema.safeParse(address).success).toBe(false)
})

test('a site that was once given an address that leads elsewhere opens without it, and keeps the rest', () => {
  const site = { ...demoSite(), launch: { address: 'https://example.org/a/../b', owner: 'Hollin Ridge' } }
  expect(checkSite(JSON.parse(JSON.stringify(site))).launch).toEqual({ owner: 'Hollin Ridge' })
})
