import { newBlock, newSection } from '#core/blocks/defaults'
import type { Block, Section } from '#core/blocks/index'
import type { StyleValues } from '#core/style/registry'
import { testIds } from '#core/values/ids.fixture'
import { newSite } from './defaults'
import type { Site } from './schema'

/** A block with words in English, an id and values. */
export function worded(kind: 'text' | 'heading' | 'button' | 'link', id: string, words: string, values: StyleValues = {}): Block {
  return { ...newBlock(kind, testIds()), id, words: { en: [words] }, style: { base: values } } as Block
}

export const group = (id: string, children: Block[], values: StyleValues = {}): Block =>
  ({ ...newBlock('group', testIds()), id, children, style: { base: values } }) as Block

export const section = (id: string, children: Block[], values: StyleValues = {}): Section =>
  ({ ...newSection('reasons', testIds()), id, name: id, children, style: { base: values } }) as Section

export function siteOf(name: string, sections: Section[]): Site {
  const site = newSite(name, testIds())
  return { ...site, pages: [{ ...site.pages[0]!, sections }] }
}
