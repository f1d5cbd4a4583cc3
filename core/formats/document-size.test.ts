import fc from 'fast-check'
import { expect, test } from 'vitest'
import { applyEdit } from '#core/edits/index'
import { EditError } from '#core/edits/edit'
import { choices, demoSite, editOf } from '#core/edits/edits.fixture'
import { keptDocuments } from '#core/kept/documents.fixture'
import type { Site } from '#core/site/schema'
import { runs } from '#core/values/runs.fixture'
import { documentLength } from './document-size'
import { writeSite } from './site-json'

test('the length of a file is known without writing it, for documents of every kind', () => {
  for (const [name, site] of keptDocuments()) expect(documentLength(site), name).toBe(writeSite(site).length)
})

test('what no site has is counted as JSON writes it', () => {
  for (const value of [[], {}, [undefined, null], { a: undefined }, { a: [], b: {} }, 'ü"\n\u2028', [[[]]], -0.5, true])
    expect(documentLength(value as never), JSON.stringify(value)).toBe(JSON.stringify(value, null, 2).length + 1)
})

test('it is known after any edits, of which each counts what it changed', () => {
  fc.assert(
    fc.property(choices, (made) => {
      let site: Site = demoSite()
      for (const choice of made) {
        try {
          site = applyEdit(site, editOf(choice, site)).site
        } catch (error) {
          if (!(error instanceof EditError)) throw error
        }
        expect(documentLength(site)).toBe(writeSite(site).length)
      }
    }),
    { numRuns: runs(8, 60) },
  )
})
