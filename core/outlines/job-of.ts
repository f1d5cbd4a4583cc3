import type { Job } from '#core/arrangements/build'
import { JOBS } from '#core/blocks/section'
import type { Passage } from '#core/deck/passage'
import { isPrice } from '#core/arrangements/priced'
import { plainText } from '#core/values/words'

/** Names that sections of each job go by in documents of copy. */
const NAMES: Record<Job, RegExp> = {
  header: /^(header|navigation|nav|menu|top bar|masthead)$/,
  footer: /^(footer|imprint|small print|colophon)$/,
  opening: /^(opening|hero|intro(duction)?|welcome|above the fold|claim|start)$/,
  reasons: /^(reasons|features|benefits|advantages|services|what we (do|offer)|why\b.*)$/,
  problem: /^(problems?|pains?|the trouble.*|sound familiar.*)$/,
  story: /^(story|our story|about( us)?|history|background)$/,
  plan: /^(plan|steps|how (it|this) works|process|how a .* goes|in (three|four|five) steps)$/,
  proof: /^(proof|testimonials?|reviews?|quotes?|what (our )?\w+ (say|said|wrote).*|references|log book|guest book)$/,
  work: /^(work|gallery|portfolio|projects|examples|our (boats|work|rooms|range))$/,
  prices: /^(prices?|pricing|plans|fees|fares|rates|tariffs?|memberships?|packages|what it costs)$/,
  timetable: /^(timetable|schedule|programme|program|agenda|hours|opening hours|dates)$/,
  questions: /^(questions?( and answers)?|faqs?|q ?& ?a|frequently asked.*)$/,
  people: /^(people|team|the team|crew|who we are|staff|speakers)$/,
  'sign-up': /^(sign up|sign-up|signup|register|registration|newsletter|subscribe|booking form|book)$/,
  contact: /^(contact( us)?|get in touch|find us|where we are|directions|visit( us)?)$/,
  closing: /^(closing|call to action|cta|last call|ready.*|before you go)$/,
}

const tidy = (name: string) =>
  name
    .toLowerCase()
    .replace(/[^\p{L}\p{N}&\s-]+/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim()

/** The job that a section's name says it does; `undefined` for a name of its own. */
export const jobNamed = (name: string): Job | undefined => JOBS.find((job) => NAMES[job].test(tidy(name)))

const TIME = /^\d{1,2}([:.]\d{2})?\s*(h|am|pm|uhr)?\b/i

/** The job that a section most likely does, by its name or else by its words and its place on the page. */
export function jobOf(name: string, passages: readonly Passage[], place: { first: boolean; last: boolean }): Job {
  const named = jobNamed(name)
  if (named) return named
  const has = (role: Passage['role']) => passages.some((one) => one.role === role)
  const entries = new Set(passages.map((one) => one.entry).filter((entry) => entry > 0)).size
  const headings = passages.filter((one) => one.role === 'heading' && one.entry > 0).map((one) => plainText(one.words).trim())
  if (passages.length > 0 && passages.every((one) => one.role === 'link')) return place.first ? 'header' : 'footer'
  const priced = passages.filter((one) => one.role === 'text' && one.entry > 0 && isPrice(one.words))
  if (has('price') || (entries >= 2 && priced.length === entries)) return 'prices'
  if (has('label')) return passages.length <= 6 ? 'sign-up' : 'contact'
  if (has('quote')) return 'proof'
  if (headings.length > 1 && headings.every((one) => one.endsWith('?'))) return 'questions'
  if (headings.length > 1 && headings.every((one) => TIME.test(one))) return 'timetable'
  if (headings.length > 1 && headings.every((one, i) => one.startsWith(`${i + 1}`))) return 'plan'
  if (place.first) return 'opening'
  if (place.last && !has('call')) return 'footer'
  if (entries >= 2) return 'reasons'
  return has('call') && passages.length <= 4 ? 'closing' : 'story'
}
