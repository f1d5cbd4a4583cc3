import { deckOf } from '#core/deck/deck'
import { isPlaceholder } from '#core/deck/filler'
import { slotsOf } from '#core/deck/slots'
import type { HeldPassage } from '#core/deck/passage'
import type { Site } from '#core/site/schema'
import { plainText } from '#core/values/words'
import type { Finding } from './finding'
import { isVague } from './vague'

export type CopyKind = 'empty' | 'unplaced' | 'placeholder' | 'repeated' | 'long' | 'vague'
/** Something about the words of a section: of a block, or of words that stand on no page. */
export type CopyFinding = Finding<CopyKind> & { unplaced?: string }

/** The words of a section counted, and what is to be said of them. */
export type CopySection = {
  page: string
  name: string
  section?: string
  words: number
  slots: number
  filled: number
  findings: CopyFinding[]
}

/** Longest heading that is read at a glance, characters. */
const LONG_HEADING = 70

const where = (one: HeldPassage) => ('block' in one ? { block: one.block } : { unplaced: one.unplaced })
const textOf = (one: HeldPassage) => plainText(one.words).trim()
const wordCount = (text: string) => text.split(/\s+/).filter((word) => word !== '').length

function wordFindings(one: HeldPassage, headings: Map<string, number>): CopyFinding[] {
  const text = textOf(one)
  const found: CopyFinding[] = []
  const add = (kind: CopyKind, sentence: string) => found.push({ kind, sentence, ...where(one) })
  if ('unplaced' in one) add('unplaced', `“${short(text)}” stands on no page.`)
  if (isPlaceholder(text)) add('placeholder', `“${short(text)}” is a placeholder.`)
  if (one.role === 'heading') {
    const times = headings.get(text.toLowerCase()) ?? 0
    if (times > 1) add('repeated', `The heading “${short(text)}” stands ${times} times on the page.`)
    if (text.length > LONG_HEADING)
      add('long', `The heading “${short(text)}” has ${text.length} characters; ${LONG_HEADING} are read at a glance.`)
  }
  if ((one.role === 'call' || one.role === 'link') && isVague(text))
    add('vague', `“${text}” does not say what it leads to. Name the action.`)
  return found
}

const short = (text: string) => (text.length > 48 ? `${text.slice(0, 47)}…` : text)

/** What is to be said of the copy of a site in one language, section by section. */
export function copyFindings(site: Site, language: string): CopySection[] {
  return deckOf(site, language).pages.flatMap((page) => {
    const headings = new Map<string, number>()
    for (const section of page.sections) {
      for (const one of section.passages)
        if (one.role === 'heading') headings.set(textOf(one).toLowerCase(), (headings.get(textOf(one).toLowerCase()) ?? 0) + 1)
    }
    const sections = site.pages.find((one) => one.id === page.page)?.sections ?? []
    return page.sections.map((section): CopySection => {
      const standing = sections.find((one) => one.id === section.section)
      const slots = standing ? slotsOf(standing) : []
      const empty = slots.filter(({ block }) => plainText(block.words[language] ?? []).trim() === '')
      return {
        page: page.page ?? page.name,
        name: section.name,
        ...(section.section === undefined ? {} : { section: section.section }),
        words: section.passages.reduce((sum, one) => sum + wordCount(textOf(one)), 0),
        slots: slots.length,
        filled: slots.length - empty.length,
        findings: [
          ...empty.map(({ block, role }): CopyFinding => ({
            kind: 'empty',
            sentence: `A slot for ${article(role)} has no words.`,
            block: block.id,
          })),
          ...section.passages.flatMap((one) => wordFindings(one, headings)),
        ],
      }
    })
  })
}

const NAMES: Partial<Record<string, string>> = { call: 'call to action', item: 'list item', label: 'field label' }
const article = (role: string) => {
  const name = NAMES[role] ?? role
  return `${/^[aeiou]/.test(name) ? 'an' : 'a'} ${name}`
}
