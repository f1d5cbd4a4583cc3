import { connect } from 'node:net'
import { removeFolder } from '#server/remove-folder'
import { type Application, expect, layDemo, start, temporaryFolder, test, visitOf } from './application'

const SITE = 'Hollin Ridge Observatory'

/** What a server answers to bytes that no client would send. */
function asked(app: Pick<Application, 'url'>, text: string): Promise<string> {
  return new Promise((done, failed) => {
    const socket = connect(Number(new URL(app.url).port), '127.0.0.1', () => socket.end(text))
    let answer = ''
    socket.on('data', (chunk: Buffer) => (answer += chunk.toString()))
    socket.on('end', () => done(answer))
    socket.on('error', failed)
  })
}

test('files and pages alike are answered under known names alone, and are taken for nothing that they do not say they are', async ({
  app,
}) => {
  const home = await (await fetch(app.url)).text()
  const script = /\/assets\/[^"]+\.js/.exec(home)![0]
  const paths = ['/', script, '/icon.svg', '/fonts.css', `${new URL(visitOf(app, SITE)).pathname}/index.html`, '/nothing']
  for (const path of paths) {
    const { headers } = await fetch(app.url + path)
    expect([path, headers.get('X-Content-Type-Options'), headers.get('Referrer-Policy')]).toEqual([path, 'nosniff', 'same-origin'])
    expect(await asked(app, `GET ${path} HTTP/1.1\r\nHost: rebound.example\r\nConnection: close\r\n\r\n`)).toMatch(
      /^HTTP\/1.1 421 /,
    )
  }
})

test('requests that name no host, or the address of a proxy, are answered with a sentence', async ({ app }) => {
  for (const [text, sentence] of [
    ['GET / HTTP/1.1\r\nConnection: close\r\n\r\n', 'does not say which host'],
    ['GET / HTTP/1.0\r\n\r\n', 'does not say which host'],
    ['GET http://a.example/ HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n', 'begins with a slash'],
    ['OPTIONS * HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n', 'begins with a slash'],
  ] as const) {
    const answer = await asked(app, text)
    expect(answer).toMatch(/^HTTP\/1.1 400 /)
    expect(answer).toContain(sentence)
  }
})

/** How many of forty entries of a form are taken, each for a visitor of another name. */
async function taken(app: Application, forwarded: (n: number) => string): Promise<number> {
  const visit = visitOf(app, SITE)
  const page = await (await fetch(`${visit}/winter-sky-chart.html`)).text()
  const form = /action="[^"]*(forms\/[\w-]+)"/.exec(page)![1]!
  let count = 0
  for (let n = 0; n < 40; n++) {
    const { status } = await fetch(`${visit}/${form}`, {
      method: 'POST',
      redirect: 'manual',
      headers: { 'Content-Type': 'application/x-www-form-urlencoded', 'X-Forwarded-For': forwarded(n) },
      body: `mail-address=ada${n}%40hollinridge.example`,
    })
    if (status === 303) count++
  }
  return count
}

test('only a proxy that is named says whom it asks for, and only of its own visitors', async () => {
  const data = temporaryFolder()
  await layDemo(data)
  const takenBy = async (proxies: string, forwarded: (n: number) => string) => {
    const app = await start(data, { YARROWFINCH_PROXY: proxies })
    const count = await taken(app, forwarded)
    await app.stop('SIGKILL')
    return count
  }
  expect(await takenBy('', (n) => `10.0.0.${n}`)).toBe(30)
  expect(await takenBy('127.0.0.1, 10.1.0.0/16', (n) => `10.0.0.${n}`)).toBe(40)
  // What a visitor says of himself stands before what the proxies say, and counts for nothing.
  expect(await takenBy('127.0.0.1, 10.1.0.0/16', (n) => `10.2.0.${n}, 192.0.2.7, 10.1.0.1`)).toBe(30)
  removeFolder(data)
})
