// What the entry commands need before they start. Node built-ins only: nothing is installed yet.
import { spawn, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statfsSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'

export const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), '..')
/** What was made before and may be used again. */
export const KEPT = join(ROOT, 'node_modules', '.yarrowfinch')

/** Ends the command with one sentence. */
export function stop(sentence, code = 1) {
  console.error(sentence)
  process.exit(code)
}

/** Processes that were started and have not ended, each the first of a group of its own. */
const running = new Set()
const signal = (child, name) => {
  try {
    process.kill(-child.pid, name)
  } catch {
    // It has ended meanwhile.
  }
}

let [watching, stopping] = [false, false]

/** From the first process on: what is stopped takes along all that it started; first asked, after five seconds made to. */
function watchSignals() {
  if (watching) return
  watching = true
  for (const name of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.on(name, () => {
      if (stopping) return
      stopping = true
      for (const child of running) signal(child, name)
      const from = Date.now()
      const wait = setInterval(() => {
        if (running.size > 0 && Date.now() - from < 5000) return
        for (const child of running) signal(child, 'SIGKILL')
        clearInterval(wait)
        stop('Stopped. The next run goes on with what is there.', 130)
      }, 50)
    })
}

/** Runs a command to its end and gives its exit code. @param options of `spawn`; what it says is passed on otherwise */
export function run(command, args, env = {}, options = {}, began = () => undefined) {
  watchSignals()
  return new Promise((done, failed) => {
    // A group of its own, so that all that it starts ends with it.
    const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit', detached: true, env: { ...process.env, ...env }, ...options })
    running.add(child)
    began(child)
    child.on('error', failed)
    child.on('close', (code) => {
      running.delete(child)
      // What is being stopped goes on with nothing.
      if (!stopping) done(code ?? 1)
    })
  })
}

/** Runs a command to its end and keeps what it says, so that two can run side by side. @returns its exit code and the text */
export async function runQuietly(command, args, env = {}, cwd = ROOT) {
  let text = ''
  const code = await run(command, args, env, { cwd, stdio: ['ignore', 'pipe', 'pipe'] }, ({ stdout, stderr }) => {
    for (const stream of [stdout, stderr]) stream.on('data', (chunk) => (text += chunk))
  })
  return { code, text }
}

/** Runs a step that the rest needs, and says how long it took; stops where it fails. */
async function must(what, command, args, env) {
  const from = Date.now()
  console.log(`· ${what}`)
  const code = await run(command, args, env).catch((error) => stop(`${what}: failed. ${error.message}`))
  if (code !== 0) stop(`${what}: failed. The lines above say why.`, code)
  console.log(`· ${what}: ${Math.round((Date.now() - from) / 1000)} s`)
}

function filesIn(folder) {
  if (!existsSync(folder)) return []
  if (statSync(folder).isFile()) return [folder]
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath ?? entry.path, entry.name))
    .sort()
}

const IS_FOR_TESTS = /\.(test|fixture)\.tsx?$/

/** A digest of files and folders but their tests, to tell whether something must be done anew. */
export function digest(paths) {
  const hash = createHash('sha256')
  for (const path of paths)
    for (const file of filesIn(join(ROOT, path)).filter((one) => !IS_FOR_TESTS.test(one)))
      hash.update(file.slice(ROOT.length)).update(readFileSync(file))
  return hash.digest('hex')
}

const stampOf = (name) => (existsSync(join(KEPT, name)) ? readFileSync(join(KEPT, name), 'utf8') : '')
function stamp(name, value) {
  mkdirSync(KEPT, { recursive: true })
  writeFileSync(join(KEPT, name), value)
}

/** Megabytes that packages and the compiled database take. */
const NEEDED = 1500

/** Installs packages unless what npm installed last is as new as the lock file. SQLite is compiled apart: see `compile`. */
export async function install() {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 19)) stop(`This needs Node 20.19 or newer; this is ${process.versions.node}.`)
  const installed = join(ROOT, 'node_modules', '.package-lock.json')
  if (existsSync(installed) && statSync(installed).mtimeMs >= statSync(join(ROOT, 'package-lock.json')).mtimeMs) return
  const { bavail, bsize } = statfsSync(ROOT)
  const left = Math.floor((bavail * bsize) / 1e6)
  if (left < NEEDED) stop(`The disk has ${left} MB left and installing takes about ${NEEDED} MB. Make room and run this again.`)
  await must('Installing packages, about a minute', 'npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund'])
}

/** Compiles SQLite unless it is there. What was compiled before a stop is not compiled again. */
export async function compile() {
  if (existsSync(join(ROOT, 'node_modules', 'better-sqlite3', 'build', 'Release', 'better_sqlite3.node'))) return
  await must('Compiling SQLite, two minutes or three', 'npm', ['run', '--silent', 'compile'])
}

/** What the application is built of. */
export const SOURCES = ['app', 'core', 'server', 'public', 'vite.config.ts', 'react-router.config.ts', 'package-lock.json']

/** Builds the application if its sources changed since it was last done. */
export async function build() {
  const wanted = digest(SOURCES)
  if (existsSync(join(ROOT, 'build', 'server', 'index.js')) && stampOf('build') === wanted) return
  stamp('build', '')
  await must('Building the application', process.execPath, [join(ROOT, 'node_modules/@react-router/dev/bin.js'), 'build'], {
    NODE_ENV: 'production',
  })
  stamp('build', wanted)
}

/** All that the application needs to be started: packages first, then what can be done side by side. */
export async function ready() {
  await install()
  await Promise.all([compile(), build()])
}

/**
 * Where Chromium may be. The headless shell, which Debian builds from the same sources, opens no window with an interface
 * of its own for each page, and takes less work.
 */
const CHROMIUM = [
  process.env.CHROMIUM_PATH,
  '/usr/bin/chromium-headless-shell',
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
]
/** The oldest that shows pages as they are meant: the first with `text-box-trim` beside `animation-timeline`. */
const OLDEST = 133

/** The first Chromium that is there; `undefined` if none is. */
export const findChromium = () => CHROMIUM.find((path) => path && existsSync(path))

/** Main version of a browser; 0 if it cannot be started. */
function versionOf(path) {
  const { stdout } = spawnSync(path, ['--version', '--no-sandbox'], { encoding: 'utf8' })
  return Number(/(\d+)\./.exec(stdout ?? '')?.[1] ?? 0)
}

/** Installs the first of Debian's packages that can be had, where that may be done at all. @returns false if none was */
export async function installDebian(names) {
  if (process.getuid?.() !== 0 || !existsSync('/usr/bin/apt-get')) return false
  const env = { DEBIAN_FRONTEND: 'noninteractive' }
  console.log(`· Installing ${names[0]}`)
  await run('apt-get', ['update', '-qq'], env)
  for (const name of names)
    if ((await run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name], env)) === 0) return true
  return false
}

/** Finds Chromium, or installs Debian's where that can be done; stops where there is none that can be used. */
export async function chromium() {
  const asked = process.env.CHROMIUM_PATH
  if (asked && !existsSync(asked)) stop(`CHROMIUM_PATH names ${asked}, where nothing is.`)
  if (!asked && !existsSync('/usr/bin/chromium-headless-shell')) await installDebian(['chromium-headless-shell', 'chromium'])
  const path = findChromium()
  if (!path) return stop('This needs Chromium. Install it, or name it in CHROMIUM_PATH.')
  const version = versionOf(path)
  if (version === 0) stop(`${path} does not start. Install Chromium anew, or name another in CHROMIUM_PATH.`)
  if (version < OLDEST)
    stop(`${path} is version ${version}; ${OLDEST} or newer is needed. Install a newer one, or name it in CHROMIUM_PATH.`)
  return path
}
