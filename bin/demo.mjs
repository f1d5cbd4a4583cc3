// Starts the application with the demo data: installs, compiles, builds, migrates and seeds what is not there yet.
import { createServer } from 'node:net'
import { join } from 'node:path'
import { MEMORY } from './memory.mjs'
import { ready, ROOT, run, stop } from './prepare.mjs'

const FIRST = 4800

const isFree = (port) =>
  new Promise((answer) => {
    const probe = createServer()
    probe.once('error', () => answer(false))
    probe.listen(port, '127.0.0.1', () => probe.close(() => answer(true)))
  })

/** The port that was asked for, or the first free one. */
async function portToUse() {
  const asked = process.env.PORT
  if (asked) {
    const port = Number(asked)
    if (!Number.isInteger(port) || port < 1 || port > 65535) stop(`PORT is ${asked}; a whole number from 1 to 65535 is wanted.`)
    if (!(await isFree(port))) stop(`Port ${port} is taken. Name another in PORT, or leave it out: a free one is found then.`)
    return port
  }
  for (let port = FIRST; port < FIRST + 100; port++) if (await isFree(port)) return port
  return stop(`No port is free between ${FIRST} and ${FIRST + 99}. Name another in PORT.`)
}

const port = await portToUse()
await ready()
const seeded = await run(process.execPath, ['--import', 'tsx', 'bin/seed.ts'])
if (seeded !== 0) stop('The demo data could not be put in place. The lines above say why.', seeded)
console.log(`\nYarrowfinch is at http://127.0.0.1:${port}\n`)
process.exitCode = await run(process.execPath, [join(ROOT, 'bin', 'serve.mjs')], {
  ...MEMORY,
  NODE_ENV: 'production',
  HOST: '127.0.0.1',
  PORT: String(port),
})
