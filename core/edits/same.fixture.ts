import { isDeepStrictEqual } from 'node:util'
import { expect } from 'vitest'
import type { Site } from '#core/site/schema'

const written = (site: Site): unknown => JSON.parse(JSON.stringify(site))

/** That two sites are the same as they are written. Most of what an edit and its inverse leave is the very object. */
export function expectSame(now: Site, before: Site): void {
  if (!isDeepStrictEqual(now, before)) expect(written(now)).toEqual(written(before))
}
