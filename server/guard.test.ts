import { afterEach, describe, expect, test } from 'vitest'
import { refusalOf } from './guard'

const asked = (path: string, method: string, headers: Record<string, string> = {}) =>
  refusalOf({ url: path, method, headers: { host: '127.0.0.1:3000', ...headers } })?.status

afterEach(() => void delete process.env.YARROWFINCH_HOST)

describe('the guard', () => {
  test.each(['127.0.0.1:3000', 'localhost', 'LOCALHOST:80', '[::1]:3000'])('answers for %s', (host) => {
    expect(asked('/', 'GET', { host: host })).toBeUndefined()
  })

  test.each(['rebound.example', '127.0.0.1.example', 'localhost.example:3000', '10.0.0.7', ''])(
    'does not answer for “%s”',
    (host) => {
      expect(asked('/', 'GET', { host: host })).toBe(421)
    },
  )

  test('answers for a host that is configured, with or without its port', () => {
    process.env.YARROWFINCH_HOST = 'studio.example, other.example:8080'
    expect(asked('/', 'GET', { host: 'studio.example' })).toBeUndefined()
    expect(asked('/', 'GET', { host: 'other.example:8080' })).toBeUndefined()
    expect(asked('/', 'GET', { host: 'third.example' })).toBe(421)
  })

  test('lets its own pages write, and commands that come from no page', () => {
    expect(asked('/sites/a/edits', 'POST', { origin: 'http://127.0.0.1:3000', 'sec-fetch-site': 'same-origin' })).toBeUndefined()
    expect(asked('/sites/a/edits', 'POST')).toBeUndefined()
  })

  test.each([
    { origin: 'https://evil.example' },
    { origin: 'http://127.0.0.1:4000' },
    { origin: 'http://localhost:3000' },
    { origin: 'null' },
    { origin: 'not an origin' },
    { 'sec-fetch-site': 'cross-site' },
    { 'sec-fetch-site': 'same-site' },
  ] as Record<string, string>[])('lets no other page write: %o', (headers) => {
    for (const method of ['POST', 'PUT', 'PATCH', 'DELETE'])
      for (const path of ['/?index', '/sites/a/edits', '/sites/a/pictures', '/sites/a/copy-file'])
        expect(asked(path, method, headers)).toBe(403)
  })

  test('lets every page read, since no other can see what it is answered', () => {
    expect(asked('/', 'GET', { origin: 'https://evil.example', 'sec-fetch-site': 'cross-site' })).toBeUndefined()
  })

  test('does not answer one that names no host, nor an address that is a proxy’s', () => {
    expect(refusalOf({ url: '/', method: 'GET', headers: {} })?.status).toBe(400)
    expect(asked('http://127.0.0.1:3000/', 'GET')).toBe(400)
    expect(asked('*', 'OPTIONS')).toBe(400)
  })

  test('lets played pages send their forms from their sandbox, and nothing else', () => {
    expect(asked('/visit/a/forms/b', 'POST', { origin: 'null' })).toBeUndefined()
    expect(asked('/visit/a/forms/b', 'POST', { origin: 'https://evil.example' })).toBe(403)
    expect(asked('/visit/a/forms/b/../../edits', 'POST', { origin: 'null' })).toBe(403)
  })
})
