import { readdirSync, readFileSync } from 'node:fs'
import { expect, test } from 'vitest'
import { MediaTypeError, readBody, readForm, readJson, TooLargeError } from './body'

const KB = 1024
/** A request whose body comes in parts, without saying before how much it is. */
function arriving(parts: number, size: number): { request: Request; sent: () => number } {
  let sent = 0
  const body = new ReadableStream<Uint8Array>({
    pull(controller) {
      if (sent >= parts) return controller.close()
      sent++
      controller.enqueue(new Uint8Array(size).fill(65))
    },
  })
  return { request: new Request('http://a', { method: 'POST', body, duplex: 'half' } as RequestInit), sent: () => sent }
}
const posted = (body: BodyInit, type: string) =>
  new Request('http://a', { method: 'POST', body, headers: { 'Content-Type': type } })

test('a body is counted while it arrives, and one without end is not read to it', async () => {
  expect(await readBody(arriving(4, KB).request, 4 * KB, 'It')).toHaveLength(4 * KB)
  await expect(readBody(arriving(5, KB).request, 4 * KB, 'It')).rejects.toThrow(TooLargeError)
  const endless = arriving(1e9, 64 * KB)
  await expect(readBody(endless.request, 4 * KB, 'It')).rejects.toThrow('It is too large: it may weigh 4 kB at most.')
  expect(endless.sent()).toBeLessThan(100)
})

test('JSON is read as JSON only, and not nested without end', async () => {
  expect(await readJson(posted('{"a":1}', 'application/json; charset=utf-8'))).toEqual({ a: 1 })
  for (const type of ['text/plain', 'application/x-www-form-urlencoded', 'text/json'])
    await expect(readJson(posted('{"a":1}', type))).rejects.toThrow(MediaTypeError)
  await expect(readJson(posted('['.repeat(100_000), 'application/json'))).rejects.toThrow(/nested more than 120 deep/)
  await expect(readJson(posted('{', 'application/json'))).rejects.toThrow(/not JSON/)
})

test('a form is read as a form only', async () => {
  const form = new FormData()
  form.set('a', new File(['x'], 'x.txt'))
  const read = await readForm(new Request('http://a', { method: 'POST', body: form }), KB, 'It')
  expect(read.get('a')).toBeInstanceOf(File)
  await expect(readForm(posted('a=b', 'text/plain'), KB, 'It')).rejects.toThrow(MediaTypeError)
  await expect(readForm(posted('--x', 'multipart/form-data; boundary=y'), KB, 'It')).rejects.toThrow(/cannot be read/)
})

test('bodies are read here alone', () => {
  const sources = ['app/routes', 'server', 'server/formats'].flatMap((folder) =>
    readdirSync(folder)
      .filter((name) => /\.tsx?$/.test(name) && !/\.test\./.test(name) && name !== 'body.ts')
      .map((name) => `${folder}/${name}`),
  )
  expect(sources.length).toBeGreaterThan(60)
  expect(
    sources.filter((file) => /\brequest\.(json|text|formData|arrayBuffer|blob|body)\b/.test(readFileSync(file, 'utf8'))),
  ).toEqual([])
})
