import type { Block, Section } from '#core/blocks/index'
import type { Site } from '#core/site/schema'
import { isStrip, RUN } from '#core/blocks/strip'
import { isContainer } from '#core/blocks/tree'

const slugs = new Map<string, string>()

/** A name in words as a class name: lower case letters and figures joined by hyphens. */
export function slug(name: string): string {
  const known = slugs.get(name)
  if (known !== undefined) return known
  // Names repeat from one render to the next; the memory is emptied before it can grow without end.
  if (slugs.size > 5000) slugs.clear()
  const made = makeSlug(name)
  slugs.set(name, made)
  return made
}

function makeSlug(name: string): string {
  const plain = name
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
  const joined = plain.replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '')
  return joined === '' ? 'block' : /^[0-9]/.test(joined) ? `n${joined}` : joined
}

/** The name of a section in words: its own, or its job. */
export const sectionName = (section: Section): string => section.name ?? section.job

/** A name that is not taken, with a number behind it where it is; it is taken from then on. */
export function unique(wanted: string, taken: Set<string>): string {
  let name = wanted
  for (let n = 2; taken.has(name); n++) name = `${wanted}-${n}`
  taken.add(name)
  return name
}

/** First words of the shared classes (type roles, kinds of button), which no section's classes may begin with. */
function reservedWords(site: Site): Set<string> {
  const names = [
    ...site.guide.types.map((one) => one.role),
    'button',
    'band',
    'main',
    'card',
    'table',
    'rows',
    'figures',
    'field',
    'frame',
    'slideshow',
    'slides',
    'slide',
    'running',
    'panel',
    'one',
    'over',
    'fold',
    'run',
    'turn',
    'pause',
    'part',
  ]
  return new Set(names.map((name) => name.split('-')[0]!))
}

/**
 * Class names of a site's sections by id, one for each section of any page, since all pages share one stylesheet.
 * No name is the beginning of another up to a hyphen, so that the names of their blocks cannot meet either.
 */
export function sectionClasses(site: Site): ReadonlyMap<string, string> {
  let classes = classesOf.get(site)
  if (!classes) classesOf.set(site, (classes = namedSections(site)))
  return classes
}

/** They are asked for by all that looks at links, many times of a site. */
const classesOf = new WeakMap<Site, ReadonlyMap<string, string>>()

/** The beginnings of a name, each up to one of its hyphens. */
const beginnings = (name: string): string[] => [...name.matchAll(/-/g)].map(({ index }) => name.slice(0, index))

function namedSections(site: Site): ReadonlyMap<string, string> {
  const reserved = reservedWords(site)
  const taken = new Set<string>()
  /** Beginnings of names that are taken, but for those of names that are only numbered. */
  const begun = new Set<string>()
  const classes = new Map<string, string>()
  for (const page of site.pages) {
    for (const section of page.sections) {
      let wanted = slug(sectionName(section))
      if (reserved.has(wanted.split('-')[0]!)) wanted = `section-${wanted}`
      if (beginnings(wanted).some((one) => taken.has(one))) wanted = wanted.replaceAll('-', '')
      while (begun.has(wanted)) wanted += 's'
      const name = unique(wanted, taken)
      for (const one of beginnings(name)) if (!/^\d+$/.test(name.slice(one.length + 1))) begun.add(one)
      classes.set(section.id, name)
    }
  }
  return classes
}

const styleTexts = new WeakMap<object, string>()

function styleText(style: Block['style']): string {
  let text = styleTexts.get(style)
  if (text === undefined) styleTexts.set(style, (text = JSON.stringify(style)))
  return text
}

/** The fields of a block that its rules depend on. */
function ownRulesOf(block: Block): string {
  switch (block.kind) {
    case 'picture':
      return String(block.link !== undefined)
    case 'group':
      if (block.oneShown) return JSON.stringify([block.panel, block.change])
      return isStrip(block) ? RUN : (block.panel ?? '')
    case 'nav':
      return block.folds ? JSON.stringify(block.folds) : ''
    case 'field':
      return block.shownBy ? JSON.stringify(block.shownBy) : ''
    default:
      return ''
  }
}

/** All that the rules of a block depend on, besides what surrounds it. */
function likeness(block: Block): string {
  const held = isContainer(block)
    ? block.children.map(({ style }) => (styleText(style).includes('"position"') ? styleText(style) : '')).join('')
    : ''
  // One that comes after the scroll has a timeline and figures of its own, which no other may share.
  const alone = styleText(block.style).includes('"smooth"') ? block.id : ''
  return `${block.kind}|${styleText(block.style)}|${ownRulesOf(block)}|${held}|${alone}`
}

/** The class of a block, and a key that also names the classes of all that it holds. */
export type BlockName = { name: string; key: string }

/**
 * Class names of all blocks in a section, by id: `opening-heading`, `opening-heading-2` for the second of a name.
 * Blocks of one name that are styled alike in containers of one class share it, as a hand would write it.
 */
export function blockClasses(section: Section, sectionClass: string): Map<string, BlockName> {
  const classes = new Map<string, BlockName>()
  const taken = new Set<string>()
  const alike = new Map<string, string>()
  const visit = (block: Block, name: string): string => {
    const inner = isContainer(block) ? `(${block.children.map((child) => visit(child, nameIn(child, name))).join()})` : ''
    const key = name + inner
    classes.set(block.id, { name, key })
    return key
  }
  const nameIn = (block: Block, parent: string): string => {
    const wanted = `${sectionClass}-${slug(block.name ?? block.kind)}`
    const like = `${parent}|${wanted}|${likeness(block)}`
    let name = alike.get(like)
    if (name === undefined) alike.set(like, (name = unique(wanted, taken)))
    return name
  }
  visit(section, sectionClass)
  return classes
}
