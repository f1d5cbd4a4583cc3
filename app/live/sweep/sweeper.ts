import { apart, isOpen } from '#core/sweep/apart'
import { type AtBreakpoint, idleBreakpoints } from '#core/sweep/at-breakpoints'
import { atEdges, hangsOnOthers } from '#core/sweep/edges'
import { factsOf } from '#core/sweep/facts'
import { visibleIn } from '#core/site/visible'
import { idleFinding, inOrder, type WidthFinding } from '#core/sweep/find'
import { SWEPT } from '#core/sweep/widths'
import type { Stress } from '#core/stress/stress'
import { walkPage } from '#core/site/tree'
import type { Page, Site } from '#core/site/schema'
import { type HiddenFrame, openHiddenFrame } from '../hidden-frame'
import { opacitiesIn } from '../opacities'
import { paced } from './paced'
import { createCarriedReader, hasMotionAcross, type ReadCarried, sweepMotions } from './motions'
import { type LookedAt, readInSteps, sweepSections } from './sections'
import type { InSteps, Sweeping } from './sweeping'

/** Share of the work on some sections that is looking at widths in steps. */
const IN_STEPS = 0.4
/** Share of the work on a page that is looking at its motions, where it has some that go across. */
const OF_MOTIONS = 0.2

/** What a run through all widths came to: the findings, the worst first, how many widths were looked at, and for how long, ms. */
export type Swept = { findings: WidthFinding[]; widths: number; took: number }

type Running = {
  signal: AbortSignal
  /** Told how much is done, 0 to 0.99: the result is the end. */
  onProgress?: (share: number) => void
  /** Told what is known whenever some of the sections have been run through. */
  onSome?: (swept: Swept) => void
  /** Ids of the sections that are run through, where not all are. */
  only?: ReadonlySet<string>
  unless?: Sweeping['unless']
}

export type Sweeper = {
  /** Runs a page through all widths; sections that are as they were before are not run again. @returns nothing where it was given up */
  run: (site: Site, page: Page, running: Running) => Promise<Swept | undefined>
  close: () => void
}

type Section = Page['sections'][number]
type Context = Pick<Site, 'guide' | 'breakpoints' | 'pictures' | 'fonts' | 'shared' | 'language'>
/** What was found of a section, and what it stood between: what touches it across its edges belongs to it. */
type Known = {
  context: Context
  above: Section | undefined
  below: Section | undefined
  findings: WidthFinding[]
  at: AtBreakpoint[]
}

const CONTEXT = ['guide', 'breakpoints', 'pictures', 'fonts', 'shared', 'language'] as const
const isSameContext = (a: Context, b: Context) => CONTEXT.every((one) => a[one] === b[one])

/**
 * Makes a sweeper, which keeps its frame and what it found of each section until it is closed.
 * @param stress what the pages are put to meanwhile
 */
export function createSweeper(stress?: Stress): Sweeper {
  const known = new WeakMap<Section, Known>()
  // Where a motion ends may hang on all of a page, so what is found of motions belongs to that.
  const carried = new WeakMap<Page, { context: Context; findings: WidthFinding[] }>()
  let opened: Promise<HiddenFrame> | undefined
  let language = ''
  // One run at a time: they share the frame.
  let before: Promise<unknown> = Promise.resolve()

  async function frameFor(site: Site): Promise<HiddenFrame> {
    if (opened && language !== site.language) {
      ;(await opened).close()
      opened = undefined
    }
    language = site.language
    return (opened ??= openHiddenFrame(language))
  }

  /** Looks at sections of a page that a frame shows, those by themselves that have nothing to do with others. @returns what all of them were read as in steps, if they were; nothing where it was given up */
  async function lookAtSections(
    hidden: HiddenFrame,
    site: Site,
    groups: readonly Section[][],
    sweepingOf: (group: number, of: number) => Sweeping,
    readCarried: ReadCarried | undefined,
    onGroup: (group: readonly Section[], found: LookedAt) => void,
  ): Promise<InSteps | undefined> {
    const hides = await opacitiesIn(hidden.frame.document)
    // Words that first appear at another width may want a face that is still on its way: then all is measured once more.
    let faces = -1
    let inSteps: InSteps = new Map()
    const haveCome = async () => faces !== (faces = await hidden.faces())
    while (await haveCome()) {
      if (groups.length > 1) {
        const read = await readInSteps(hidden, site, hides, readCarried, sweepingOf(0, groups.length + 1))
        if (!read) return undefined
        inSteps = read
      }
      for (const [n, group] of groups.entries()) {
        const looked = await sweepSections(hidden, site, group, hides, inSteps, sweepingOf(n + 1, groups.length + 1))
        if (!looked) return undefined
        // What stands out further than can be told beforehand is looked at with all others.
        if (looked.reachesOut && groups.length > 1)
          return lookAtSections(hidden, site, [groups.flat()], sweepingOf, readCarried, onGroup)
        if (await haveCome()) {
          faces = -1
          break
        }
        onGroup(group, looked)
      }
    }
    return inSteps
  }

  /** What motions of a page carry past the window. @returns nothing where it was given up */
  async function lookAtMotions(site: Site, page: Page, inSteps: InSteps, sweeping: Sweeping): Promise<WidthFinding[] | undefined> {
    const before = carried.get(page)
    if (before && isSameContext(before.context, site)) return before.findings
    const hidden = await frameFor(site)
    await hidden.show(site, page, stress)
    const findings = await sweepMotions(hidden, site, page, inSteps, sweeping)
    if (findings) carried.set(page, { context: site, findings })
    return findings
  }

  async function runThrough(given: Site, asked: Page, running: Running): Promise<Swept | undefined> {
    const { signal, only } = running
    if (signal.aborted) return undefined
    const site = stress?.change?.(given) ?? given
    const page = site === given ? asked : (site.pages.find((one) => one.id === asked.id) ?? asked)
    const from = performance.now()
    const sections = page.sections.filter((one) => !one.hidden)
    const concerned = only ? sections.filter((one) => only.has(one.id)) : sections
    const stands = (one: Section): Pick<Known, 'above' | 'below'> => {
      const n = sections.indexOf(one)
      return { above: sections[n - 1], below: sections[n + 1] }
    }
    /** Whether another stands beside a section than before. */
    const hasOthersBeside = (one: Section) => {
      const { above, below } = stands(one)
      const before = known.get(one)!
      return before.above !== above || before.below !== below
    }
    const stale = new Set<Section>()
    const touched: Section[] = []
    for (const one of concerned) {
      const before = known.get(one)
      if (!before || !isSameContext(before.context, site) || (hasOthersBeside(one) && hangsOnOthers(before.findings)))
        stale.add(one)
      else if (hasOthersBeside(one)) {
        const { above, below } = stands(one)
        const ids = new Set([...visibleIn(one)].map(({ id }) => id))
        const meets = before.findings.some(({ beside }) => beside !== undefined && !ids.has(beside))
        // Nothing that stays within its section has to do with what is beside that.
        if (meets || isOpen(above, one, site) || isOpen(one, below, site)) touched.push(one)
        else known.set(one, { ...before, context: site, ...stands(one) })
      }
    }
    const ids = new Set<string | undefined>(concerned.map((one) => one.id))
    const within = <T extends { section?: string }>(section: Section, list: readonly T[]) =>
      list.filter((one) => one.section === section.id)
    const summed = (all: readonly Pick<Known, 'findings' | 'at'>[], moved: readonly WidthFinding[]): Swept => {
      const idle = idleBreakpoints(
        all.flatMap((one) => one.at),
        site.breakpoints,
      ).filter((below) => !isUsed(site, below))
      const found = [...all.flatMap((one) => one.findings), ...moved.filter((one) => ids.has(one.section))]
      return { findings: inOrder([...found, ...idle.map(idleFinding)]), widths: widths.size, took: performance.now() - from }
    }
    const widths = new Set<number>()
    const pace = paced(running)
    /** What is called after each width of one piece of the work, which is a part of all of it. */
    const counting = (done: number, part: number): Sweeping => {
      let [last, isHalving] = [0, false]
      const onWidth = (width: number) => {
        widths.add(width)
        // What is looked at in steps comes first, then what lies between them.
        if (width < last) isHalving = true
        last = width
        const share = (width - SWEPT.from) / (SWEPT.to - SWEPT.from)
        return pace(done + part * (isHalving ? IN_STEPS + (1 - IN_STEPS) * share : IN_STEPS * share))
      }
      return { stress, onWidth, unless: running.unless }
    }
    // Where a motion ends may hang on all of a page; whether one is carried too far is asked of the sections that are meant.
    const hasMotions = hasMotionAcross(concerned)
    let inSteps: InSteps = new Map()
    const ofSections = hasMotions ? 1 - OF_MOTIONS : 1
    if (stale.size + touched.length > 0) {
      const hidden = await frameFor(site)
      // What has not changed, and does not meet what has, is not even laid out: none is wider for it.
      const shown = sections.filter((one) => {
        const { above, below } = stands(one)
        const meets = (other: Section | undefined) => other !== undefined && stale.has(other) && isOpen(one, other, site)
        return stale.has(one) || touched.includes(one) || meets(above) || meets(below)
      })
      await hidden.show(site, { ...page, sections: shown }, stress)
      const groups = apart(shown, site)
      const facts = factsOf(site, sections)
      const seen = new Set(shown.map((one) => one.id))
      const left = new Set([...stale])
      const sectionOf = (block: string) => facts.get(block)?.section.id
      const learn = (group: readonly Section[], { findings, at }: LookedAt) => {
        for (const section of group) {
          const now = { context: site, ...stands(section) }
          const fresh = within(section, findings)
          if (stale.has(section)) known.set(section, { ...now, findings: fresh, at: within(section, at) })
          else if (touched.includes(section)) {
            const before = known.get(section)!
            known.set(section, { ...before, ...now, findings: atEdges(before.findings, fresh, sectionOf, (one) => seen.has(one)) })
          }
        }
      }
      const countingIn = (n: number, of: number) => counting((ofSections * n) / of, ofSections / of)
      const isWhole = shown.length === sections.length
      const readCarried = hasMotions && isWhole ? createCarriedReader(hidden, site, page, stress) : undefined
      const read = await lookAtSections(hidden, site, groups, countingIn, readCarried, (group, looked) => {
        learn(group, looked)
        for (const one of group) left.delete(one)
        running.onSome?.(
          summed(
            concerned.flatMap((one) => (left.has(one) ? [] : (known.get(one) ?? []))),
            carried.get(page)?.findings ?? [],
          ),
        )
      })
      if (!read) return undefined
      inSteps = read
    }
    const moved = hasMotions ? await lookAtMotions(site, page, inSteps, counting(ofSections, OF_MOTIONS)) : []
    if (!moved) return undefined
    return summed(
      concerned.flatMap((one) => known.get(one) ?? []),
      moved,
    )
  }

  return {
    run(site, page, running) {
      const result = before.then(() => runThrough(site, page, running))
      before = result.catch(() => undefined)
      return result
    },
    close() {
      void before.then(async () => (await opened)?.close())
    },
  }
}

/** True where some block of the site has an exception at a breakpoint. */
function isUsed(site: Site, below: number): boolean {
  const id = site.breakpoints.find((one) => one.below === below)?.id
  if (id === undefined) return false
  return site.pages.some((page) => [...walkPage(page)].some((block) => Object.keys(block.style.below?.[id] ?? {}).length > 0))
}
