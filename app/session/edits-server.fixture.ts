import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Site } from '#core/site/schema'
import { openStore, type Store } from '#server/database'
import { removeFolder } from '#server/remove-folder'
import { createSite } from '#server/sites'
import { action, loader } from '../routes/edits'

/** What went over the wire: the revision that edits were based on, and the edits. */
export type Sent = { base: number; edits: { key: string; edit: unknown }[] }

/** A server that keeps the edits of one site in a database of its own, by the route of the application. */
export type EditsServer = {
  id: string
  store: Store
  /** Fetches as a page of the application does: by paths alone. */
  fetch: (path: string, init?: RequestInit) => Promise<Response>
  /** All that was posted, whatever became of it. */
  posts: Sent[]
  /** Called before each answer to a post, which waits for it; what it throws is a failure of the server. */
  before: (sent: Sent) => unknown
  /** Takes connections, or refuses them as a machine does on which nothing listens. */
  open: () => Promise<void>
  close: () => Promise<void>
  end: () => Promise<void>
}

/** Taken before a test puts another in its place. */
const reach = globalThis.fetch

export async function startEditsServer(site: Site): Promise<EditsServer> {
  const folder = mkdtempSync(join(tmpdir(), 'yarrowfinch-sync-'))
  const store = openStore(join(folder, 'yarrowfinch.db'))
  const holder = globalThis as { yarrowfinchStore?: Store }
  holder.yarrowfinchStore = store
  const id = createSite(store, site)
  let server: Server
  let port = 0
  const self: EditsServer = {
    id,
    store,
    posts: [],
    before: () => undefined,
    fetch: (path, init) => reach(`http://127.0.0.1:${port}${path}`, init),
    open: () =>
      new Promise((done) => {
        server = createServer((asked, answered) => {
          const chunks: Buffer[] = []
          asked.on('data', (chunk: Buffer) => chunks.push(chunk))
          asked.on('end', () => {
            void respond(asked.method!, asked.url!, Buffer.concat(chunks)).then(async (response) => {
              answered.writeHead(response.status, { 'Content-Type': 'application/json', Connection: 'close' })
              answered.end(Buffer.from(await response.arrayBuffer()))
            })
          })
        })
        server.listen(port, '127.0.0.1', () => {
          port = (server.address() as AddressInfo).port
          done()
        })
      }),
    close: () =>
      new Promise((done) => {
        server.close(() => done())
        server.closeAllConnections()
      }),
    async end() {
      if (server.listening) await self.close()
      store.close()
      delete holder.yarrowfinchStore
      removeFolder(folder)
    },
  }

  async function respond(method: string, url: string, body: Buffer): Promise<Response> {
    const request = new Request(`http://127.0.0.1:${port}${url}`, {
      method,
      headers: { 'Content-Type': 'application/json' },
      ...(method === 'POST' ? { body: new Uint8Array(body) } : {}),
    })
    const args = { request, params: { siteId: id } } as never
    if (method === 'GET') return loader(args)
    const sent = JSON.parse(body.toString()) as Sent
    self.posts.push(sent)
    try {
      await self.before(sent)
    } catch {
      return new Response('', { status: 500 })
    }
    return action(args)
  }

  await self.open()
  return self
}
