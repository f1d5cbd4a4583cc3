import { afterEach, describe, expect, test } from 'vitest'
import { refusalOf } from './guard'

const asked = (path: string, method: string, headers: Record<string, string> = {}) =>
  refusalOf({
    url: `http://127.0.0.1:3000${path}`,
    method,
    headers: new Headers({ Host: '127.0.0.1:3000', ...headers }),
  } as Request)?.status

afterEach(() => void delete process.env.YARROWFINCH_HOST)

describe('the guard', () => {
  test.each(['127.0.0.1:3000', 'localhost', 'LOCALHOST:80', '[::1]:3000'])('answers for %s', (host) => {
    expect(asked('/', 'GET', { Host: host })).toBeUndefined()
  })

  test.each(['rebound.example', '127.0.0.1.example', 'localhost.example:3000', '10.0.0.7', ''])(
    'does not answer for “%s”',
    (host) => {
      expect(asked('/', 'GET', { Host: host })).toBe(421)
    },
  )

  test('answers for a host that is configured, with or without its port', () => {
    process.env.YARROWFINCH_HOST = 'studio.example, other.example:8080'
    expect(asked('/', 'GET', { Host: 'studio.example' })).toBeUndefined()
    expect(asked('/', 'GET', { Host: 'other.example:8080' })).toBeUndefined()
    expect(asked('/', 'GET', { Host: 'third.example' })).toBe(421)
  })

  test('lets its own pages write, and commands that come from no page', () => {
    expect(asked('/sites/a/edits', 'POST', { Origin: 'http://127.0.0.1:3000', 'Sec-Fetch-Site': 'same-origin' })).toBeUndefined()
    expect(asked('/sites/a/edits', 'POST')).toBeUndefined()
  })

  test.each([
    { Origin: 'https://evil.example' },
    { Origin: 'http://127.0.0.1:4000' },
    { Origin: 'http://localhost:3000' },
    { Origin: 'null' },
    { Origin: 'not an origin' },
    { 'Sec-Fetch-Site': 'cross-site' },
    { 'Sec-Fetch-Site': 'same-site' },
  ] as Record<string, string>[])('lets no other page write: %o', (headers) => {
    for (const method of ['POST', 'PUT', 'PATCH', 'DELETE'])
      for (const path of ['/?index', '/sites/a/edits', '/sites/a/pictures', '/sites/a/copy-file'])
        expect(asked(path, method, headers)).toBe(403)
  })

  test('lets every page read, since no other can see what it is answered', () => {
    expect(asked('/', 'GET', { Origin: 'https://evil.example', 'Sec-Fetch-Site': 'cross-site' })).toBeUndefined()
  })

  test('lets played pages send their forms from their sandbox, and nothing else', () => {
    expect(asked('/visit/a/forms/b', 'POST', { Origin: 'null' })).toBeUndefined()
    expect(asked('/visit/a/forms/b', 'POST', { Origin: 'https://evil.example' })).toBe(403)
    expect(asked('/visit/a/forms/b/../../edits', 'POST', { Origin: 'null' })).toBe(403)
  })
})
