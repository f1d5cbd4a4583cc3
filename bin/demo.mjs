// Starts the application with the demo data: installs, builds, migrates and seeds what is not there yet.
import { createServer } from 'node:net'
import { build, install, run } from './prepare.mjs'

/** The first free port from a number on. */
async function freePort(from) {
  for (let port = from; port < from + 100; port++) {
    const free = await new Promise((answer) => {
      const probe = createServer()
      probe.once('error', () => answer(false))
      probe.listen(port, '127.0.0.1', () => probe.close(() => answer(true)))
    })
    if (free) return port
  }
  throw new Error(`No port is free between ${from} and ${from + 99}.`)
}

await install()
await build()
const seeded = await run('npx', ['tsx', 'bin/seed.ts'])
if (seeded !== 0) process.exit(seeded)
const port = Number(process.env.PORT) || (await freePort(4800))
console.log(`\nYarrowfinch is at http://127.0.0.1:${port}\n`)
process.exitCode = await run('npx', ['react-router-serve', './build/server/index.js'], {
  NODE_ENV: 'production',
  HOST: '127.0.0.1',
  PORT: String(port),
})
