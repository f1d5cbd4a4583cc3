import type { Block } from '#core/blocks/index'
import type { Edit } from '#core/edits/index'
import { type Excuse, excuseOf } from '#core/site/excuse'
import type { Page, Site } from '#core/site/schema'

/** One change that mends what was found, tried before it is offered. */
export type Repair = {
  label: string
  edit: Edit
  /** What else it makes, for the eye, in sentences; nothing where it makes nothing. */
  price?: readonly string[]
}

/** Widths of the window, px, both ends included. */
export type Range = { from: number; to: number }

/** Something that is to be said of a page: what it is, in one sentence with its figures, and where it stands. */
export type Finding<K extends string = string> = {
  /** What kind of thing was found. */
  kind: K
  /** False for what is only worth a look; all else stands in the way. */
  fault?: boolean
  sentence: string
  /** Why it is so, in figures. */
  why?: string
  page?: string
  block?: string
  /** Another block that is concerned, or a word for what of a page it is about, where one block or page can have several of a kind. */
  beside?: string
  /** Widths at which it holds, the narrow ones first; every width where none are named. */
  ranges?: Range[]
  repair?: Repair
}

/** What a check is given: a page, its visible blocks in reading order, the site, and the day, as 2026-11-27. */
export type Subject = { page: Page; blocks: readonly Block[]; site: Site; today: string }

/** One check of a page: what it finds, if anything. */
export type Check = (subject: Subject) => (Omit<Finding, 'kind' | 'page'> | undefined)[]

/** What a block is called in a sentence. */
export const nameOf = (block: Block): string => block.name ?? block.kind

/** `1 slot has`, `2 slots have`: a count with words in the singular or the plural. */
export const counted = (count: number, one: string, more: string): string => `${count} ${count === 1 ? one : more}`

/** `at 640 px`, `640–702 px and 1024–1093 px`: ranges in words. */
export const rangesInWords = (ranges: readonly Range[]): string =>
  ranges.map(({ from, to }) => (from === to ? `${from} px` : `${from}–${to} px`)).join(' and ')

/** What was found on a page, sorted: what is to be mended, what is worth a look, and what is said to be no fault there. */
export function sorted<F extends Finding & { fault: boolean }>(
  found: readonly F[],
  excuses: readonly Excuse[] | undefined,
  page: string,
): { faults: F[]; others: F[]; excused: F[] } {
  const excused = found.filter((one) => excuseOf(excuses, page, one))
  const open = found.filter((one) => !excused.includes(one))
  return { faults: open.filter((one) => one.fault), others: open.filter((one) => !one.fault), excused }
}
