import { afterEach, expect, test, vi } from 'vitest'
import { ask } from './ask'

const answering = (answer: () => Promise<Response>) => vi.stubGlobal('fetch', answer)
afterEach(() => vi.unstubAllGlobals())

test('what was asked for comes back, and so does the server’s own sentence', async () => {
  answering(() => Promise.resolve(Response.json({ text: 'x' })))
  expect(await ask('“a” was not read', '/')).toEqual({ text: 'x' })
  answering(() => Promise.resolve(Response.json({ problem: 'It is empty.' }, { status: 422 })))
  expect(await ask('“a” was not read', '/')).toEqual({ problem: 'It is empty.' })
})

test('a server that is away, one that failed, and one that answers nonsense are told apart', async () => {
  answering(() => Promise.reject(new TypeError('offline')))
  expect(await ask('“a” was not read', '/')).toEqual({ problem: '“a” was not read: the server cannot be reached.' })
  answering(() => Promise.resolve(new Response('<h1>Oops', { status: 500 })))
  expect(await ask('“a” was not read', '/')).toEqual({
    problem: '“a” was not read: the server failed while it worked on it (500).',
  })
  answering(() => Promise.resolve(new Response('<h1>Hm', { status: 404 })))
  expect(await ask('“a” was not read', '/')).toEqual({ problem: '“a” was not read: the server’s answer cannot be read (404).' })
})
