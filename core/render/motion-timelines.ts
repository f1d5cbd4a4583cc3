import { sectionsFollowed } from '#core/motion/followed'
import type { Site } from '#core/site/schema'
import { motionsOf } from '#core/style/motions-of'
import { walkPage } from '#core/site/tree'
import { PAGE_END } from './motion-animations'
import { sectionClasses } from './names'
import type { Rule } from './rules'

/** The sections that blocks of the same page follow, by their ids, in the order of the pages. */
function followed(site: Site): string[] {
  const ids = site.pages.flatMap((page) => {
    const wanted = new Set<string>()
    for (const { style } of walkPage(page)) for (const id of sectionsFollowed(motionsOf(style))) wanted.add(id)
    return page.sections.filter((one) => wanted.has(one.id) && !one.hidden).map((one) => one.id)
  })
  return ids
}

/** True if something on a page is revealed. */
const reveals = (site: Site): boolean =>
  site.pages.some((page) => [...walkPage(page)].some(({ style }) => motionsOf(style).some((one) => one.kind === 'reveal')))

/** The last two px of the scroll, where all is shown that waits for a line which it cannot pass. */
const LAST: Rule = {
  selector: 'body',
  below: null,
  when: 'triggered',
  declarations: [['timeline-trigger', `${PAGE_END} scroll(root) calc(100% - 2px) 100%`]],
}

/** Sections that others follow give their timelines, which hold for the whole page (Scroll-driven Animations 1, 4.3). */
export function timelineRules(site: Site): Rule[] {
  const ids = followed(site)
  const last = reveals(site) ? [LAST] : []
  if (ids.length === 0) return last
  const classes = sectionClasses(site)
  const names = ids.map((id) => classes.get(id)!)
  return [
    ...last,
    {
      selector: 'body',
      below: null,
      when: 'scrolling',
      adds: true,
      declarations: [['timeline-scope', names.map((name) => `--${name}`).join(', ')]],
    },
    ...names.map((name): Rule => ({
      selector: `.${name}`,
      below: null,
      when: 'scrolling',
      declarations: [['view-timeline', `--${name}`]],
    })),
  ]
}

/** What an engine without timelines of the scroll passes over. */
const NEW: ReadonlySet<Rule['when']> = new Set(['scrolling', 'triggered', 'waiting-scrolling'])

/** The rules for an engine that knows no timelines of the scroll, whatever engine they run in. */
export const asPlain = (rules: readonly Rule[]): Rule[] =>
  rules.filter(({ when }) => !NEW.has(when)).map((rule) => (rule.when === 'waiting' ? { ...rule, when: 'wanted' } : rule))
