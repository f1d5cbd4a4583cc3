import { slotsOf } from '#core/deck/slots'
import type { Constraint } from '#core/site/brief'
import type { Page, Site } from '#core/site/schema'
import type { Section } from '#core/blocks/index'
import { plainText } from '#core/values/words'
import { familyOf } from '#core/type/families'
import type { Finding } from './finding'
import { targetsOf } from './link-targets'
import { visibleBlocks } from '#core/site/visible'
import { valuesPrintedOn } from './values-printed'

/** Whether the page keeps to something in the brief: in one sentence, with figures, and the block to look at. */
export type Verdict = Finding<'brief'> & { id: string; ok: boolean }

type Found = Omit<Verdict, 'id'>
type Check<K extends Constraint['kind']> = (constraint: Extract<Constraint, { kind: K }>, page: Page, site: Site) => Found

const yes = (sentence: string): Found => ({ kind: 'brief', ok: true, sentence })
const no = (sentence: string, block?: string): Found =>
  block === undefined ? { kind: 'brief', ok: false, sentence } : { kind: 'brief', ok: false, sentence, block }
const count = (n: number, one: string, more = `${one}s`) => `${n} ${n === 1 ? one : more}`
const quoted = (words: string[]) => words.map((one) => `“${one}”`).join(', ')
const rolesOf = (site: Site, hex: string) =>
  site.guide.colours.filter((one) => one.hex.toLowerCase() === hex).map((one) => one.role)
const asRole = (site: Site, hex: string) => {
  const [role] = rolesOf(site, hex)
  return role ? `, as ${role}` : ''
}

/** The words of a section in the site's first language, as one text. */
export const wordsIn = (section: Section, site: Site): string =>
  slotsOf(section)
    .filter(({ block }) => !block.hidden)
    .map(({ block }) => plainText(block.words[site.language] ?? []).trim())
    .filter((text) => text !== '')
    .join(' ')

export const wordCount = (text: string): number => (text.trim() === '' ? 0 : text.trim().split(/\s+/).length)

/** The first section that is an opening, or does the opening's work on a page with a single action. */
export const openingOf = (page: Page): Section | undefined =>
  page.sections.find((one) => one.job === 'opening' && !one.hidden) ??
  page.sections.find((one) => one.job === 'sign-up' && !one.hidden)

const checks: { [K in Constraint['kind']]: Check<K> } = {
  'colour-wanted': ({ hex }, page, site) => {
    const wanted = hex.toLowerCase()
    return valuesPrintedOn(site, page).hexes.has(wanted)
      ? yes(`${hex} is on the page${asRole(site, wanted)}.`)
      : no(`${hex} is nowhere on the page. Give it to a role that the page uses.`)
  },
  'colour-unwanted': ({ hex }, page, site) => {
    const unwanted = hex.toLowerCase()
    return valuesPrintedOn(site, page).hexes.has(unwanted)
      ? no(`${hex} is on the page${asRole(site, unwanted)}. Change that colour in the style guide.`)
      : yes(`${hex} is nowhere on the page.`)
  },
  faces: ({ families }, page, site) => {
    const { families: used } = valuesPrintedOn(site, page)
    const others = [...used].filter((one) => !families.includes(one)).map((one) => familyOf(one)?.name ?? one)
    const missing = families.filter((one) => !used.has(one)).map((one) => familyOf(one)?.name ?? one)
    if (others.length > 0) return no(`The page is also set in ${others.join(' and ')}.`)
    return missing.length > 0
      ? no(`The page does not use ${missing.join(' and ')}.`)
      : yes(`The page is set in ${families.map((one) => familyOf(one)?.name ?? one).join(' and ')} alone.`)
  },
  'most-links': ({ count: most }, page, site) => {
    // What visitors steer by: the links of a footer are not counted.
    const steering = { ...page, sections: page.sections.filter((one) => one.job !== 'footer') }
    const navs = visibleBlocks(steering).filter(({ block }) => block.kind === 'nav')
    const ids = new Set(
      navs.flatMap(({ block }) => [block.id, ...('children' in block ? block.children.map((one) => one.id) : [])]),
    )
    const links = targetsOf(site, page).filter((one) => ids.has(one.block.id))
    if (most === 0)
      return links.length === 0
        ? yes('There is no navigation.')
        : no(`There is a navigation with ${count(links.length, 'link')}; none is wanted.`, navs[0]!.block.id)
    const sentence = `The navigation has ${count(links.length, 'link')}; ${most} at most ${most === 1 ? 'is' : 'are'} wanted.`
    return links.length <= most ? yes(sentence) : no(sentence, navs[0]!.block.id)
  },
  'one-action': (_, page, site) => {
    const targets = targetsOf(site, page)
    if (targets.length === 0) return no('Nothing on the page leads to the action: there is no button and no link.')
    const tally = new Map<string, number>()
    for (const { leads } of targets) tally.set(leads, (tally.get(leads) ?? 0) + 1)
    const main = tally.has('the form') ? 'the form' : [...tally].sort((a, b) => b[1] - a[1])[0]![0]
    if (main === 'nowhere') return no(`${quoted([targets[0]!.words])} leads nowhere.`, targets[0]!.block.id)
    const others = targets.filter((one) => one.leads !== main)
    if (others.length === 0)
      return yes(
        `${targets.length === 1 ? 'The one button or link leads' : `All ${targets.length} buttons and links lead`} to ${main}.`,
      )
    return no(
      `${others.length} of ${targets.length} buttons and links lead elsewhere than to ${main}: ${quoted(others.slice(0, 3).map((one) => one.words))}.`,
      others[0]!.block.id,
    )
  },
  confirmation: (_, page, site) => {
    const forms = visibleBlocks(page).flatMap(({ block }) => (block.kind === 'form' ? [block] : []))
    if (forms.length === 0) return no('There is no form on the page that could be confirmed.')
    const without = forms.find(({ link }) => !link || !('page' in link) || !site.pages.some((one) => one.id === link.page))
    if (without) return no('The form leads to no page of this site. Set the page that follows it.', without.id)
    const [{ link }] = forms as [(typeof forms)[number]]
    const target = site.pages.find((one) => link && 'page' in link && one.id === link.page)!
    return target.id === page.id
      ? no('The form leads back to its own page. Set a page that confirms.', forms[0]!.id)
      : yes(`The form is confirmed on “${target.name}”, on the same site.`)
  },
  sections: ({ jobs }, page) => {
    const there = new Set(page.sections.filter((one) => !one.hidden).map((one) => one.job))
    const missing = jobs.filter((job) => !there.has(job))
    return missing.length === 0 ? yes(`All of these are there: ${jobs.join(', ')}.`) : no(`Not on the page: ${missing.join(', ')}.`)
  },
  'opening-words': ({ count: most }, page, site) => {
    const opening = openingOf(page)
    if (!opening) return no('The page has no opening.')
    const words = wordCount(wordsIn(opening, site))
    const sentence = `The opening has ${count(words, 'word')}; ${most} at most ${most === 1 ? 'is' : 'are'} wanted.`
    return words <= most ? yes(sentence) : no(sentence, opening.id)
  },
}

/** What a page makes of one constraint. */
export const verdictOn = (constraint: Constraint, page: Page, site: Site): Verdict => ({
  id: constraint.id,
  ...(checks[constraint.kind] as Check<Constraint['kind']>)(constraint as never, page, site),
})

export const QUESTIONS = { what: 'What is this?', why: 'Why should I care?', now: 'What do I do now?' } as const
export type Question = keyof typeof QUESTIONS

/** Words that carry meaning: longer than three letters. */
const telling = (text: string): Set<string> => new Set(text.toLowerCase().match(/[\p{L}\p{N}]{4,}/gu))

/** Whether the opening says what the brief answers to one of the three questions: by the telling words that both have. */
export function answerVerdict(question: Question, page: Page, site: Site): Verdict {
  const answer = telling(page.brief[question])
  const found = (): Found => {
    if (answer.size === 0) return no('Not answered yet.')
    const opening = openingOf(page)
    if (!opening) return no('The page has no opening that could say it.')
    const words = telling(wordsIn(opening, site))
    const said = [...answer].filter((one) => words.has(one)).length
    const sentence = `${said} of the ${count(answer.size, 'telling word')} of the answer ${said === 1 ? 'stands' : 'stand'} in the opening.`
    return said * 2 >= answer.size ? yes(sentence) : no(sentence, opening.id)
  }
  return { id: question, ...found() }
}
