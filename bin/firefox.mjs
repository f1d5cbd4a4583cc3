// The main job in stock Firefox, over WebDriver BiDi: composing, words in place, Style, Play. Not part of `npm test`.
import { existsSync } from 'node:fs'
import { installDebian, ready, run, stop } from './prepare.mjs'

await ready()
const find = () => [process.env.FIREFOX_PATH, '/usr/bin/firefox-esr', '/usr/bin/firefox'].find((one) => one && existsSync(one))
if (!find()) await installDebian(['firefox-esr'])
const path = find() ?? stop('This needs Firefox. Install it, or name it in FIREFOX_PATH.')
process.exitCode = await run('npx', ['tsx', 'e2e/firefox.ts'], { FIREFOX_PATH: path })
