import { newBlock, newSection } from '#core/blocks/defaults'
import type { Block } from '#core/blocks/index'
import { NOT_FOUND } from '#core/render/site-address'
import { newPage } from '#core/site/defaults'
import type { Page } from '#core/site/schema'
import { withNewIds } from '#core/site/tree'
import { edit, makeId, type SessionStore } from '../session/store'

/** Adds a page for addresses that are not found: the header and footer of the first page, and a way back between them. */
export function addNotFound(store: SessionStore): void {
  const { site } = store.getState().session
  const [first] = site.pages
  const around = (job: 'header' | 'footer') =>
    first!.sections.filter((one) => one.job === job && !one.hidden).map((one) => withNewIds(one, makeId))
  const { language } = site
  const say = (block: Block, words: string): Block => ({ ...block, words: { [language]: [words] } }) as Block
  const opening = {
    ...newSection('opening', makeId),
    children: [
      say({ ...newBlock('heading', makeId), level: 1 }, 'This page is not here'),
      say(newBlock('text', makeId), 'It may have moved, or its address has a slip in it.'),
      say({ ...newBlock('button', makeId), link: { page: first!.id } } as Block, `Go to ${site.name}`),
    ],
  }
  const page: Page = {
    ...newPage(makeId, 'Not found', NOT_FOUND),
    title: { [language]: `Not found · ${site.name}` },
    description: { [language]: 'The page that was asked for is not here.' },
    unlisted: true,
    unsearched: true,
    sections: [...around('header'), opening, ...around('footer')],
  }
  edit(store, { kind: 'page-add', index: site.pages.length, page })
}
