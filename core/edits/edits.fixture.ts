import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { readSite } from '#core/formats/site-json'
import type { Site } from '#core/site/schema'
import { idMaker } from '#core/values/ids'
import { seededRandom } from '#core/values/ids.fixture'
import type { Chooser } from './edit'
import { type Edit, EDIT_KINDS, sampleEdit } from './index'

/** The demo site, as its file has it. */
export const demoSite = (): Site => readSite(readFileSync('demo/observatory.site.json', 'utf8'))

/** Choices that follow from a seed, the same on every run. */
export function chooserOf(seed: number): Chooser {
  const random = seededRandom(seed)
  const number = (below: number) => Math.floor(random() * below)
  return { number, one: (list) => list[number(list.length)]!, id: idMaker(random) }
}

/** A kind of edit and a seed, which become an edit once it is known what the site holds. */
export type Choice = { kind: string; seed: number }

export const choices = fc.array(fc.record({ kind: fc.constantFrom(...EDIT_KINDS), seed: fc.nat() }), {
  minLength: 1,
  maxLength: 12,
})

/** The edit that a choice comes to on a site. It may be one that the site refuses. */
export const editOf = ({ kind, seed }: Choice, site: Site): Edit => sampleEdit(kind, site, chooserOf(seed))
