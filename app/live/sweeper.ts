import { type AtBreakpoint, idleBreakpoints } from '#core/sweep/at-breakpoints'
import { atEdges, hangsOnOthers } from '#core/sweep/edges'
import { factsOf } from '#core/sweep/facts'
import { staysWithin } from '#core/sweep/stays-within'
import { visibleIn } from '#core/site/visible'
import { createFinder, idleFinding, inOrder, type WidthFinding } from '#core/sweep/find'
import { isStraight } from '#core/sweep/straight'
import { alone, type Held, sweep } from '#core/sweep/sweep'
import { STEP, SWEPT, widthsAtBreakpoints } from '#core/sweep/widths'
import { viewportHeightFor } from '#core/grid/viewport-height'
import type { Stress } from '#core/stress/stress'
import { walkPage } from '#core/site/tree'
import type { Page, Site } from '#core/site/schema'
import { type HiddenFrame, openHiddenFrame } from './hidden-frame'
import { opacitiesIn } from './opacities'
import { createReader } from './read-page'
import { hasMotionAcross, sweepMotions } from './sweep-motions'

/** How long one slice of the work may take, ms: the screen stays quick in between. */
const SLICE = 10
/** Share of the work that is looking at widths in steps. */
const IN_STEPS = 0.1

/** What a run through all widths came to: the findings, the worst first, how many widths were looked at, and for how long, ms. */
export type Swept = { findings: WidthFinding[]; widths: number; took: number }

type Running = {
  signal: AbortSignal
  /** Told how much is done, 0 to 0.99: the result is the end. */
  onProgress?: (share: number) => void
  /** Told what is known when widths were looked at in steps, before each px is. */
  onSteps?: (swept: Swept) => void
  /** Ids of the sections that are run through, where not all are. */
  only?: ReadonlySet<string>
  /** Gives up at once where a finding still holds at a width: whoever tries what mends it need not see the others. */
  unless?: { width: number; key: string }
}

export type Sweeper = {
  /** Runs a page through all widths; sections that are as they were before are not run again. @returns nothing where it was given up */
  run: (site: Site, page: Page, running: Running) => Promise<Swept | undefined>
  close: () => void
}

/** What a run came to before it is told apart by sections. */
type Looked = ReturnType<ReturnType<typeof createFinder>['findings']>

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

  const only = stress?.widths
  /** The widths that are run through: some alone, or all, so that they are known to the px. */
  const toRun = <Seen>(
    also: readonly number[],
    isEven: (before: Seen, between: Seen, after: Seen) => boolean,
    onSteps?: (held: Held[]) => void,
  ) => (only ? alone<Seen>(only) : sweep<Seen>(SWEPT.from, SWEPT.to, STEP, also, isEven, onSteps))
  const heightFor = (width: number) => stress?.height ?? viewportHeightFor(width)

  /** Looks at the sections that a frame shows, width by width. @returns nothing where it was given up */
  async function lookThrough(
    hidden: HiddenFrame,
    site: Site,
    shown: Section[],
    { unless }: Running,
    onWidth: (width: number) => Promise<boolean>,
    onSteps?: (looked: Looked) => void,
  ): Promise<Looked | undefined> {
    const finder = createFinder(site, shown, heightFor, stress?.mirrored)
    const reader = createReader(hidden.frame.document, site.breakpoints, await opacitiesIn(hidden.frame.document))
    let tall = 0
    const look = (width: number) => {
      const height = heightFor(width)
      // Set only where it changes: all that inherits it is styled anew.
      if (height !== tall) hidden.frame.document.documentElement.style.setProperty('--vh', `${(tall = height) / 100}px`)
      hidden.resize(width, height)
      return reader.read(width)
    }
    // At the widest, words stand on one line, and the width of each is known from then on.
    look(SWEPT.to)
    if (unless && finder.look(look(unless.width)).has(unless.key)) return undefined
    const first = widthsAtBreakpoints(site.breakpoints)
    const run = toRun(first, isStraight, onSteps && ((held) => onSteps(finder.findings(held))))
    let next = run.next()
    while (!next.done) {
      const seen = look(next.value)
      next = run.next({ keys: finder.look(seen), seen })
      if (!(await onWidth(seen.width))) return undefined
    }
    return finder.findings(next.value)
  }

  /** Lets the screen do what it has to from time to time, and says how much is done. @returns what is called after each width */
  function paced({ signal, onProgress, onSteps }: Running, onWidth: () => void): (width: number) => Promise<boolean> {
    let since = performance.now()
    // Where steps are looked at first, the widths begin anew after them.
    let [last, inSteps] = [0, onSteps !== undefined]
    return async (width) => {
      if (signal.aborted) return false
      onWidth()
      if (width < last - STEP) inSteps = false
      last = width
      if (performance.now() - since < SLICE) return true
      const share = (width - SWEPT.from) / (SWEPT.to - SWEPT.from)
      onProgress?.(Math.min(0.99, inSteps ? share * IN_STEPS : onSteps ? IN_STEPS + share * (1 - IN_STEPS) : share))
      await breathe()
      since = performance.now()
      return !signal.aborted
    }
  }

  /** What motions of a page carry past the window. @returns nothing where it was given up */
  async function lookAtMotions(
    site: Site,
    page: Page,
    { unless }: Running,
    onWidth: (width: number) => Promise<boolean>,
  ): Promise<WidthFinding[] | undefined> {
    if (!hasMotionAcross(page)) return []
    const before = carried.get(page)
    if (before && isSameContext(before.context, site)) return before.findings
    const hidden = await frameFor(site)
    await hidden.show(site, page, stress)
    const mirrored = stress?.mirrored === true
    const findings = await sweepMotions(hidden, site, page, { toRun, heightFor, mirrored, onWidth, unless })
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
    const isOpen = (one: Section | undefined, other: Section | undefined) =>
      one !== undefined && other !== undefined && !(staysWithin(one, site) && staysWithin(other, site))
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
        if (meets || isOpen(above, one) || isOpen(one, below)) touched.push(one)
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
      return { findings: inOrder([...found, ...idle.map(idleFinding)]), widths, took: performance.now() - from }
    }
    let widths = 0
    const onWidth = paced(running, () => widths++)
    if (stale.size + touched.length > 0) {
      const hidden = await frameFor(site)
      // What has not changed, and does not meet what has, is not even laid out: none is wider for it.
      const shown = sections.filter((one) => {
        const { above, below } = stands(one)
        const meets = (other: Section | undefined) => other !== undefined && stale.has(other) && isOpen(one, other)
        return stale.has(one) || touched.includes(one) || meets(above) || meets(below)
      })
      await hidden.show(site, { ...page, sections: shown }, stress)
      let looked: Looked | undefined
      let faces: number
      // Words that first appear at another width may want a face that is still on its way: then all is measured once more.
      do {
        faces = await hidden.faces()
        const { onSteps } = running
        looked = await lookThrough(
          hidden,
          site,
          shown,
          running,
          onWidth,
          onSteps &&
            (({ findings, at }) => {
              const soFar = (one: Section) => ({ findings: within(one, findings), at: within(one, at) })
              const all = concerned.flatMap((one) => (stale.has(one) ? soFar(one) : (known.get(one) ?? [])))
              onSteps(summed(all, carried.get(page)?.findings ?? []))
            }),
        )
        if (!looked) return undefined
      } while ((await hidden.faces()) !== faces)
      const { findings, at } = looked
      for (const section of stale)
        known.set(section, { context: site, ...stands(section), findings: within(section, findings), at: within(section, at) })
      if (touched.length > 0) {
        const facts = factsOf(site, sections)
        const ids = new Set(shown.map((one) => one.id))
        const sectionOf = (block: string) => facts.get(block)?.section.id
        for (const section of touched) {
          const before = known.get(section)!
          const held = atEdges(before.findings, within(section, findings), sectionOf, (one) => ids.has(one))
          known.set(section, { ...before, context: site, ...stands(section), findings: held })
        }
      }
    }
    const moved = await lookAtMotions(site, page, running, onWidth)
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

/** Lets the screen do what waits to be done. A timer would wait for 4 ms each time, and there are a hundred and more. */
const breathe = (): Promise<void> =>
  new Promise((done) => {
    const { port1, port2 } = new MessageChannel()
    port1.onmessage = () => {
      port1.close()
      done()
    }
    port2.postMessage(null)
  })

/** True where some block of the site has an exception at a breakpoint. */
function isUsed(site: Site, below: number): boolean {
  const id = site.breakpoints.find((one) => one.below === below)?.id
  if (id === undefined) return false
  return site.pages.some((page) => [...walkPage(page)].some((block) => Object.keys(block.style.below?.[id] ?? {}).length > 0))
}
