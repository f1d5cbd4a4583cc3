import type { Block } from '#core/blocks/index'
import type { Edit } from '#core/edits/index'
import type { Page, Site } from '#core/site/schema'

/** One change that mends what was found, tried before it is offered. */
export type Repair = { label: string; edit: Edit }

/** Something that is to be said of a page: what it is, in one sentence with its figures, and where it stands. */
export type Finding<K extends string = string> = {
  /** What kind of thing was found. */
  kind: K
  sentence: string
  page?: string
  block?: string
  repair?: Repair
}

/** What a check is given: a page, its visible blocks in reading order, and the site. */
export type Subject = { page: Page; blocks: readonly Block[]; site: Site }

/** One check of a page: what it finds, if anything. */
export type Check = (subject: Subject) => (Omit<Finding, 'kind' | 'page'> | undefined)[]

/** What a block is called in a sentence. */
export const nameOf = (block: Block): string => block.name ?? block.kind

/** `1 slot has`, `2 slots have`: a count with words in the singular or the plural. */
export const counted = (count: number, one: string, more: string): string => `${count} ${count === 1 ? one : more}`
