import { newSection } from '#core/blocks/defaults'
import { applyEdit, type Edit } from '#core/edits/index'
import { arrange } from '#core/arrangements/arrange'
import { arrangementOf } from '#core/arrangements/index'
import { freeAddress } from '#core/site/address'
import { newPage } from '#core/site/defaults'
import type { MakeId } from '#core/values/ids'
import type { Site } from '#core/site/schema'
import { walk } from '#core/blocks/tree'
import type { OutlineRow } from './outlines'

/**
 * The edits that take an outline on a page: a section for each row, filled with the words that wait for it. A section
 * of a row's job that the page already has is left as it is. Where the outline has a single action, a confirmation
 * page comes with it, and every form leads there.
 */
export function takeOutline(site: Site, pageId: string, rows: readonly OutlineRow[], single: boolean, makeId: MakeId): Edit[] {
  const edits: Edit[] = []
  let now = site
  const make = (edit: Edit) => {
    now = applyEdit(now, edit).site
    edits.push(edit)
  }
  const page = () => now.pages.find((one) => one.id === pageId)!
  const had = new Set(page().sections.map((one) => one.job))
  let index = 0
  for (const { job, arrangement } of rows) {
    const there = page().sections.findIndex((one) => one.job === job)
    if (had.has(job)) {
      index = Math.max(index, there + 1)
      continue
    }
    const section = newSection(job, makeId)
    make({ kind: 'insert', parent: pageId, index: index++, blocks: [section] })
    make({
      kind: 're-set',
      section: section.id,
      arrangement,
      ids: `${makeId()}${makeId()}`.toLowerCase().replace(/[^a-z0-9]/g, 'x'),
    })
  }
  if (!single) return edits
  const forms = () => page().sections.flatMap((section) => [...walk(section)].filter((block) => block.kind === 'form'))
  if (forms().length > 0 && forms().every((one) => one.link)) return edits
  const confirmation = {
    ...newPage(makeId, `${page().name.slice(0, 100)}: thank you`, freeAddress(now.pages, 'thank-you')),
    unlisted: true,
    sections: [arrange(arrangementOf('opening-short')!, 0, now.breakpoints, makeId)],
  }
  make({ kind: 'page-add', index: now.pages.length, page: confirmation })
  for (const form of forms())
    if (!form.link) make({ kind: 'field', block: form.id, field: 'link', value: { page: confirmation.id } })
  return edits
}
