import { expect, test } from 'vitest'
import type { RouteConfigEntry } from '@react-router/dev/routes'
import routes from './routes'

test('every address of a site names it as what reads sites ahead asks for it', () => {
  const paths = (routes as RouteConfigEntry[]).flatMap(({ path }) => (path && /^(sites|visit)\//.test(path) ? [path] : []))
  expect(paths.length).toBeGreaterThan(20)
  expect(paths.filter((path) => !/^(sites|visit)\/:siteId(\/|$)/.test(path))).toEqual([])
})
