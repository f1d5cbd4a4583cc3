import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { RouteConfigEntry } from '@react-router/dev/routes'
import { expect, test } from 'vitest'
import { chooserOf, demoSite } from '#core/edits/edits.fixture'
import routes from '../app/routes'
import { DOOR_NAMES, docxOf, type Examples, hostileAt } from './doors'

const bytes = new Uint8Array([1, 2, 3])
const examples: Examples = {
  id: 'site',
  site: demoSite(),
  siteZip: bytes,
  pictures: [bytes],
  svg: '<svg viewBox="0 0 9 9"><path d="M0 0h9"/></svg>',
  font: bytes,
  docx: docxOf(1),
  markdown: '# Page',
}

const takesRequests = ({ file }: RouteConfigEntry) =>
  /^export (async function|function|const) action\b/m.test(readFileSync(join('app', file), 'utf8'))
const patternOf = ({ path = '', index }: RouteConfigEntry) =>
  new RegExp(`^/${index ? '\\?index' : path.replaceAll(/:\w+/g, '[^/]+').replace('*', '.*')}$`)

test('the generator of hostile inputs reaches every route that takes a request with something in it', () => {
  const doors = (routes as RouteConfigEntry[]).filter(takesRequests)
  expect(doors.length).toBeGreaterThan(15)
  let missed = doors
  for (let seed = 0; seed < 60 && missed.length > 0; seed++) {
    const requests = DOOR_NAMES.map((door) => hostileAt(door, examples, chooserOf(seed)))
    const paths = requests.filter(({ init }) => init.method === 'POST').map(({ path }) => path)
    missed = missed.filter((one) => !paths.some((path) => patternOf(one).test(path)))
  }
  expect(missed.map(({ path }) => path)).toEqual([])
})
