import { faultsIn, findingsOn } from '#core/analysis/checks/index'
import { copyFindings } from '#core/analysis/copy'
import { pairsOn } from '#core/analysis/contrast'
import { brokenRules } from '#core/analysis/colour-uses'
import { notExcused } from '#core/site/excuse'
import { visibleBlocks } from '#core/site/visible'
import type { Page, Site } from '#core/site/schema'
import { hasWords } from '#core/blocks/tree'
import { DEFAULT_GUIDE } from '#core/site/defaults'
import { isSame } from '#core/values/equal'
import { plainText } from '#core/values/words'

/** One of the things that a step of the path asks for, in words, and whether it is there. */
export type Condition = { what: string; met: boolean }
/** A step of the path: it is complete when all that it asks for is there. */
export type Step = { name: string; to: string; complete: boolean; conditions: Condition[] }

const count = (number: number, one: string, many = `${one}s`): string => `${number} ${number === 1 ? one : many}`
const not = (number: number, one: string, many?: string): string => (number === 0 ? '' : `: ${count(number, one, many)} left`)

/** How many faults were found where a page has to be run to know: at its widths, of words over pictures, of access. */
export type Looked = { widths?: number; words?: number; access?: number }

const LOOKED: Record<keyof Looked, string> = {
  widths: 'Nothing is broken at any width',
  words: 'All words over pictures can be read',
  access: 'Nothing keeps anybody out',
}

/** What was looked at counts; what was not is no condition yet. */
const lookedAt = (looked: Looked): Condition[] =>
  (Object.keys(LOOKED) as (keyof Looked)[]).flatMap((part) => {
    const faults = looked[part]
    return faults === undefined ? [] : [{ what: `${LOOKED[part]}${not(faults, 'fault')}`, met: faults === 0 }]
  })

type Rule = (site: Site, page: Page) => Condition[]

const briefed: Rule = ({ brief }, page) => [
  { what: 'It says who visits', met: brief.visitors.trim() !== '' },
  { what: 'It says what is wanted of them', met: (page.brief.aim ?? brief.aim) !== null },
  {
    what: 'It has the three answers of the opening',
    met: [page.brief.what, page.brief.why, page.brief.now].every((answer) => answer.trim() !== ''),
  },
]

const written: Rule = (site, page) => {
  const sections = copyFindings(site, site.language).filter((one) => one.page === page.id)
  const findings = sections.flatMap((one) => one.findings)
  const of = (...kinds: string[]) => findings.filter(({ kind }) => kinds.includes(kind)).length
  const [empty, unplaced, others] = [of('empty'), of('unplaced'), of('placeholder', 'vague')]
  return [
    { what: 'The page has words', met: sections.some((one) => one.words > 0) },
    { what: `Every slot has words${not(empty, 'slot')}`, met: empty === 0 },
    { what: `No words are left over${not(unplaced, 'passage')}`, met: unplaced === 0 },
    { what: `No words are placeholders or vague${not(others, 'passage')}`, met: others === 0 },
  ]
}

const collected: Rule = ({ board }) => [
  { what: 'The board has a picture', met: board.some((one) => one.kind === 'picture') },
  { what: 'The board has a colour', met: board.some((one) => one.kind === 'colour') },
]

const composed: Rule = (site, page) => {
  const blocks = visibleBlocks(page).map((one) => one.block)
  const empty = blocks.filter((block) => hasWords(block) && plainText(block.words[site.language] ?? []).trim() === '').length
  const frames = blocks.filter((block) => block.kind === 'picture' && block.picture === undefined).length
  return [
    { what: 'The page has sections with words', met: blocks.some(hasWords) },
    { what: `Every slot has words${not(empty, 'slot')}`, met: empty === 0 },
    { what: `Every picture is chosen${not(frames, 'picture')}`, met: frames === 0 },
  ]
}

const styled: Rule = (site, page) => {
  const { pairs } = pairsOn(site, page)
  const short = pairs.filter((one) => one.ratio < one.needed).length
  const broken = brokenRules(site, page).length
  return [
    { what: 'A guide was chosen: it is no longer the one that sites begin with', met: !isSame(site.guide, DEFAULT_GUIDE) },
    { what: 'The page has words to be read', met: pairs.length > 0 },
    { what: `Every pair of colours has enough contrast${not(short, 'pair')}`, met: short === 0 },
    { what: `Every role keeps to what it is meant for${not(broken, 'role')}`, met: broken === 0 },
  ]
}

const checked: Rule = (site, page) => {
  const open = faultsIn(notExcused(site.excuses, findingsOn(site, page))).length
  return [{ what: `Nothing is missing before launch${not(open, 'thing')}`, met: page.sections.length > 0 && open === 0 }]
}

const RULES: [name: string, rule: Rule][] = [
  ['Brief', briefed],
  ['Copy', written],
  ['References', collected],
  ['Compose', composed],
  ['Style', styled],
  ['Check', checked],
]

const known = new WeakMap<Page, { site: Site; steps: [string, Condition[]][] }>()

/** What each step of a page asks for; remembered for as long as the site is the same. */
function conditionsOn(site: Site, page: Page): [string, Condition[]][] {
  const before = known.get(page)
  if (before?.site === site) return before.steps
  const steps = RULES.map(([name, rule]): [string, Condition[]] => [name, rule(site, page)])
  known.set(page, { site, steps })
  return steps
}

type Asked = { siteId: string; site: Site; page: Page; exported: boolean; looked?: Looked }

/** The steps of the work on a page, and which are complete. @param asked with what was found of the page by running it */
export function stepsOf({ siteId, site, page, exported, looked = {} }: Asked): Step[] {
  const deliver: Condition[] = [{ what: 'The newest revision has been exported', met: exported }]
  const all: [string, Condition[]][] = [...conditionsOn(site, page), ['Deliver', deliver]]
  return all.map(([name, asked]) => {
    const conditions = name === 'Check' ? [...asked, ...lookedAt(looked)] : asked
    return {
      name,
      to: `/sites/${siteId}/pages/${page.id}/${name.toLowerCase()}`,
      complete: conditions.every((one) => one.met),
      conditions,
    }
  })
}
