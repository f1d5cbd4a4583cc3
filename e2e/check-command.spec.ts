import { spawn } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pixels } from '#core/values/length'
import { removeFolder } from '#server/remove-folder'
import type { Site } from '#core/site/schema'
import { section, siteOf, worded } from '#core/site/made.fixture'
import { check as checkFile } from '../bin/check'
import { expect, test } from './application'

/** Runs the command as anybody does. @returns how it ended, and what it printed */
function spawned(...args: string[]): Promise<{ code: number | null; text: string; problem: string }> {
  return new Promise((done) => {
    const child = spawn('npx', ['tsx', 'bin/check.ts', ...args])
    let [text, problem] = ['', '']
    child.stdout.on('data', (chunk: Buffer) => (text += chunk.toString()))
    child.stderr.on('data', (chunk: Buffer) => (problem += chunk.toString()))
    child.on('exit', (code) => done({ code, text, problem }))
  })
}

/** The same without a process of its own. */
async function check(...args: string[]): Promise<{ code: number; text: string; problem: string }> {
  let [text, problem] = ['', '']
  const code = await checkFile(
    args,
    (line) => (text += `${line}\n`),
    (line) => (problem += line),
  )
  return { code, text, problem }
}

for (const [name, tag, clean] of [
  ['chandler', '@always', 'The shop'],
  // Its pages take a minute: its landing page is swept in the Check screen in every run.
  ['observatory', '@proof', 'Winter sky chart: thank you: clean'],
] as const)
  test(`the demo site of the ${name} ends clean, at every width and in each state`, { tag }, async () => {
    const { code, text } = await check(`demo/${name}.site.json`)
    expect(text).toContain('0 faults')
    expect(text).not.toContain('not checked')
    expect(text).toContain(clean)
    expect(code).toBe(0)
    // Two pages are looked at beside each other, and said in the order of the site.
    const { pages } = JSON.parse(readFileSync(`demo/${name}.site.json`, 'utf8')) as { pages: { name: string }[] }
    const said = text.split('\n').filter((line) => pages.some((page) => line === page.name || line === `${page.name}: clean`))
    expect(said.map((line) => line.replace(/: clean$/, ''))).toEqual(pages.map((page) => page.name))
  })

test('a site with faults fails, and says them as JSON; what is no site is a sentence', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'yarrowfinch-check-'))
  const stops = ['#101418', '#F4F6F8'].map((hex, n) => ({ at: n * 100, colour: { hex } }))
  const made = siteOf('Wide', [
    section('wide', [worded('text', 'wideone', 'Bring a coat', { width: pixels(700) })]),
    section('dawn', [worded('text', 'white', 'So are we', { ink: { hex: '#FFFFFF' } })], {
      fillLayers: [{ kind: 'linear', angle: 270, space: 'srgb', stops }],
    }),
  ])
  const site = { ...made, launch: { budget: { bytes: 10_240, seconds: 6 } } }
  const file = join(folder, 'wide.site.json')
  writeFileSync(file, JSON.stringify(site))
  const { code, text } = await spawned(file, '--json')
  expect(code).toBe(1)
  const said = JSON.parse(text) as { widthsChecked: boolean; findings: { kind: string; fault: boolean; ranges?: unknown }[] }
  expect(said.widthsChecked).toBe(true)
  expect(said.findings).toContainEqual(
    expect.objectContaining({ kind: 'pastWindow', fault: true, ranges: [{ from: 280, to: 731 }] }),
  )
  expect(said.findings).toContainEqual(
    expect.objectContaining({ kind: 'wordsOver', fault: true, ranges: [{ from: 280, to: 2560 }] }),
  )
  expect(said.findings).toContainEqual(expect.objectContaining({ kind: 'overBudget', fault: true }))

  // What could not be looked at is said, and is no reason to fail but for who asks for all of it.
  const tidy = siteOf('Tidy', [section('plan', [worded('heading', 'head', 'Bring a coat')])])
  const { pictures } = JSON.parse(readFileSync('demo/observatory.site.json', 'utf8')) as Pick<Site, 'pictures'>
  writeFileSync(file, JSON.stringify({ ...tidy, pictures: pictures.slice(0, 1) }))
  const without = await check(file)
  expect(without.text).toContain(`The picture “${pictures[0]!.name}” is not there, so what stands over it was not looked at.`)
  const strict = JSON.parse((await check(file, '--json', '--strict')).text) as { notLookedAt: string[] }
  expect(strict.notLookedAt).toHaveLength(1)
  expect((await check(file, '--strict')).code).toBe(1)

  const broken = join(folder, 'broken.site.json')
  writeFileSync(broken, '{"format":')
  expect(await check(broken)).toMatchObject({ code: 2, text: '' })
  expect((await check()).problem).toContain('Usage: npm run check')
  removeFolder(folder)
})
