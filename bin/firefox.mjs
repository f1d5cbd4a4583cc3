// The main job in stock Firefox, over WebDriver BiDi: composing, words in place, Style, Play. Not part of `npm test`.
import { existsSync } from 'node:fs'
import { build, install, run } from './prepare.mjs'

await install()
await build()
const path = [process.env.FIREFOX_PATH, '/usr/bin/firefox-esr', '/usr/bin/firefox'].find((one) => one && existsSync(one))
if (!path) {
  if (process.getuid?.() !== 0 || !existsSync('/usr/bin/apt-get')) {
    console.error('This needs Firefox. Install it, or name it in FIREFOX_PATH.')
    process.exit(1)
  }
  console.log('· Installing Firefox')
  await run('apt-get', ['update', '-qq'])
  const code = await run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'firefox-esr'], {
    DEBIAN_FRONTEND: 'noninteractive',
  })
  if (code !== 0) process.exit(code)
}
process.exitCode = await run('npx', ['tsx', 'e2e/firefox.ts'], { FIREFOX_PATH: path ?? '/usr/bin/firefox-esr' })
