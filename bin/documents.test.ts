import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { expect, test } from 'vitest'

const DOCUMENTS = ['README.md', ...readdirSync('docs').flatMap((file) => (file.endsWith('.md') ? [`docs/${file}`] : []))]
const read = (file: string) => readFileSync(file, 'utf8')
/** Addresses of files that a document links to or shows. */
const linksOf = (file: string) =>
  // What stands in code is an example.
  [
    ...read(file)
      .replace(/```[\s\S]*?```|`[^`\n]*`/g, '')
      .matchAll(/\]\(([^)#\s]+)(?:#[^)]*)?\)/g),
  ]
    .map(([, link]) => link!)
    .filter((link) => !/^\w+:/.test(link))

test('every file that a document links to or shows is there', () => {
  const gone = DOCUMENTS.flatMap((file) =>
    linksOf(file)
      .filter((link) => !existsSync(join(dirname(file), link)))
      .map((link) => `${file}: ${link}`),
  )
  expect(DOCUMENTS.length).toBeGreaterThan(5)
  expect(gone).toEqual([])
})

test('every picture of a view is shown in the README, and there are fewer than twenty', () => {
  const pictures = readdirSync('docs/screenshots').map((file) => `docs/screenshots/${file}`)
  expect(pictures.length).toBeGreaterThan(10)
  expect(pictures.length).toBeLessThan(20)
  const shown = linksOf('README.md')
  expect(pictures.filter((file) => !shown.includes(file))).toEqual([])
})

test('every file and command that the page of proofs names is there', () => {
  const text = read('docs/proofs.md')
  const { scripts } = JSON.parse(read('package.json')) as { scripts: Record<string, string> }
  const files = [...text.matchAll(/`((?:core|app|server|e2e|benches|bin|torture)\/[\w./-]*)`/g)].map(([, file]) => file!)
  expect(files.length).toBeGreaterThan(20)
  expect(files.filter((file) => !existsSync(file))).toEqual([])
  const commands = [...text.matchAll(/`npm run ([\w:-]+)/g)].map(([, name]) => name!)
  expect(commands.filter((name) => !(name in scripts))).toEqual([])
})

test('every promise of security names its tests, and they are there', () => {
  const text = read('docs/security.md')
  const named = [...text.matchAll(/`((?:core|app|server|e2e|bin|torture)\/[\w./-]+)`/g)].map(([, file]) => file!)
  expect(named.filter((file) => !existsSync(file) && !existsSync(`${file}.ts`))).toEqual([])
  const from = (heading: string) => text.split(`## ${heading}\n`)[1]!.split('\n## ')[0]!
  const promises = from('What is promised')
    .split(/\n(?=\*\*|- )/)
    .slice(1)
  expect(promises.length).toBeGreaterThan(10)
  const proved = /`[\w./-]+\.(test|spec)\.tsx?`/
  // A promise that is a list has them at each of its points.
  const unproved = [...promises, from('Backup')].filter((one) => !proved.test(one) && !one.trim().endsWith(':'))
  expect(unproved).toEqual([])
})
