// Compiles SQLite for this Node. Run by npm, which knows where node-gyp is; goes on where a run before was stopped.
import { spawnSync } from 'node:child_process'
import { existsSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { ROOT } from './prepare.mjs'

const cwd = join(ROOT, 'node_modules', 'better-sqlite3')
/** Seconds that a compiled one may be looked for elsewhere. */
const LOOKED = 20

/** Runs a step to its end, and keeps what it says. */
function step(command, args, timeout) {
  const { status, stdout, stderr } = spawnSync(command, args, { cwd, encoding: 'utf8', timeout, maxBuffer: 1e8 })
  return { done: status === 0, said: `${stdout ?? ''}${stderr ?? ''}` }
}

const fetched = step('npx', ['--no-install', 'prebuild-install'], LOOKED * 1000)
if (!fetched.done || !existsSync(join(cwd, 'build', 'Release', 'better_sqlite3.node'))) {
  const building = ['build', '--release', '-j', 'max']
  const configuring = ['configure', '--release']
  // What is configured and partly built is gone on with, unless it was so for another place or another Node.
  const goneOn = existsSync(join(cwd, 'build', 'Makefile')) && step('node-gyp', building).done
  if (!goneOn) {
    rmSync(join(cwd, 'build'), { recursive: true, force: true })
    for (const args of [configuring, building]) {
      const { done, said } = step('node-gyp', args)
      if (done) continue
      console.error(said.split('\n').slice(-30).join('\n'))
      console.error(
        'SQLite could not be compiled. It needs Python 3, make and a C++ compiler: on Debian, python3 and build-essential.',
      )
      process.exit(1)
    }
  }
}
