import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { RouteConfigEntry } from '@react-router/dev/routes'
import { beforeAll, expect, test } from 'vitest'
import { chooserOf, demoSite } from '#core/edits/edits.fixture'
import { ACCEPTED, FILE_KINDS } from '#core/formats/accepted'
import { inThread } from '#server/threads/pool'
import routes from '../app/routes'
import { DOOR_NAMES, type Examples, hostileAt, QUERY_NAMES } from './doors'
import { validFiles } from './files'

let examples: Examples
beforeAll(async () => {
  const site = demoSite()
  examples = { id: 'site', site, files: await validFiles(site, new Uint8Array([1, 2, 3])) }
})

const patternOf = ({ path = '', index }: RouteConfigEntry) =>
  new RegExp(`^/${index ? '(\\?.*)?' : path.replaceAll(/:\w+/g, '[^/?]+').replace('*', '[^?]*')}(\\?.*)?$`)
const textOf = ({ file }: RouteConfigEntry) => readFileSync(join('app', file), 'utf8')
const has = (name: string) => (one: RouteConfigEntry) =>
  new RegExp(`^export (async function|function|const) ${name}\\b`, 'm').test(textOf(one))

/** Routes that no hostile request of the first seeds reaches. @param seeds how many are tried of each door */
function missedBy(wanted: readonly RouteConfigEntry[], names: readonly string[], method: string, seeds: number) {
  let missed = wanted
  for (const name of names)
    for (let seed = 0; seed < seeds && missed.length > 0; seed++) {
      const { init, path } = hostileAt(name, examples, chooserOf(seed))
      if ((init.method ?? 'GET') === method) missed = missed.filter((one) => !patternOf(one).test(path))
    }
  return missed.map(({ path }) => path)
}

test('the generator of hostile inputs reaches every route that takes a request with something in it', () => {
  const doors = (routes as RouteConfigEntry[]).filter(has('action'))
  expect(doors.length).toBeGreaterThan(15)
  expect(missedBy(doors, DOOR_NAMES, 'POST', 40)).toEqual([])
})

test('it asks for every address that answers, and by every name that is read of one', () => {
  const doors = (routes as RouteConfigEntry[]).filter(has('loader'))
  expect(doors.length).toBeGreaterThan(25)
  expect(missedBy(doors, ['address'], 'GET', 2000)).toEqual([])
  const sources = ['app/routes', 'server', 'server/formats'].flatMap((folder) =>
    readdirSync(folder)
      .filter((name) => /(?<!\.test)\.tsx?$/.test(name))
      .map((name) => readFileSync(join(folder, name), 'utf8')),
  )
  const names = sources.flatMap((text) =>
    [...text.matchAll(/(?:searchParams|query)\.(?:get|has)\('(\w+)'\)/g)].map(([, name]) => name!),
  )
  expect(names.length).toBeGreaterThan(10)
  expect([...new Set(names)].filter((name) => !QUERY_NAMES.includes(name))).toEqual([])
})

test('what chooses files takes its types from the list that hostile files are made of, and an example of each is valid', async () => {
  const sources = readdirSync('app', { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.tsx'))
    .map((name) => [name, readFileSync(join('app', name), 'utf8')] as const)
  expect(sources.filter(([, text]) => /accept="/.test(text)).map(([name]) => name)).toEqual([])
  for (const kind of FILE_KINDS) expect(Object.keys(examples.files[kind]).sort()).toEqual([...ACCEPTED[kind]].sort())
  const { film, font, picture } = examples.files
  for (const [type, bytes] of Object.entries(film))
    expect(await inThread('test', 'read-film', { bytes, name: type })).toMatchObject({ type, width: 64, height: 36 })
  for (const bytes of Object.values(font)) expect(await inThread('test', 'read-font', { bytes, name: 'a.ttf' })).toBeDefined()
  expect(Object.values(picture)).toHaveLength(5)
})
