// What both entry commands need before they start. Node built-ins only: nothing is installed yet.
import { spawn } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'

export const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), '..')
const STAMPS = join(ROOT, 'node_modules', '.yarrowfinch')

/** Runs a command to its end and gives its exit code. */
export function run(command, args, env = {}) {
  return new Promise((done, failed) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } })
    child.on('error', failed)
    child.on('exit', (code) => done(code ?? 1))
  })
}

async function must(what, command, args, env) {
  console.log(`· ${what}`)
  const code = await run(command, args, env)
  if (code !== 0) {
    console.error(`${what}: failed. The lines above say why.`)
    process.exit(code)
  }
}

function filesIn(folder) {
  if (!existsSync(folder)) return []
  if (statSync(folder).isFile()) return [folder]
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath ?? entry.path, entry.name))
    .sort()
}

/** A digest of files, to tell whether something must be done anew. */
function digest(paths) {
  const hash = createHash('sha256')
  for (const path of paths) for (const file of filesIn(join(ROOT, path))) hash.update(file).update(readFileSync(file))
  return hash.digest('hex')
}

const stampOf = (name) => (existsSync(join(STAMPS, name)) ? readFileSync(join(STAMPS, name), 'utf8') : '')
function stamp(name, value) {
  mkdirSync(STAMPS, { recursive: true })
  writeFileSync(join(STAMPS, name), value)
}

/** Installs packages unless what npm installed last is as new as the lock file. */
export async function install() {
  const installed = join(ROOT, 'node_modules', '.package-lock.json')
  if (existsSync(installed) && statSync(installed).mtimeMs >= statSync(join(ROOT, 'package-lock.json')).mtimeMs) return
  await must('Installing packages (better-sqlite3 is compiled, which takes a minute or two)', 'npm', [
    'ci',
    '--no-audit',
    '--no-fund',
  ])
}

const SOURCES = ['app', 'core', 'server', 'public', 'vite.config.ts', 'react-router.config.ts', 'package-lock.json']

/** Builds the application if its sources changed since it was last done. */
export async function build() {
  const wanted = digest(SOURCES)
  if (existsSync(join(ROOT, 'build', 'server', 'index.js')) && stampOf('build') === wanted) return
  await must('Building the application', 'npx', ['react-router', 'build'], { NODE_ENV: 'production' })
  stamp('build', wanted)
}

const CHROMIUM = [process.env.CHROMIUM_PATH, '/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome']

/** Finds Chromium, or installs Debian's where that can be done. */
export async function chromium() {
  const find = () => CHROMIUM.find((path) => path && existsSync(path))
  if (!find()) {
    if (process.getuid?.() !== 0 || !existsSync('/usr/bin/apt-get')) {
      console.error('The end-to-end tests need Chromium. Install it, or name it in CHROMIUM_PATH.')
      process.exit(1)
    }
    await must('Looking up packages', 'apt-get', ['update', '-qq'])
    await must('Installing Chromium', 'apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], {
      DEBIAN_FRONTEND: 'noninteractive',
    })
  }
  return find()
}
