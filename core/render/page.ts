import type { Element, ElementContent } from 'hast'
import { type Block, type BlockOf, kindOf, type Section, sharedClass } from '#core/blocks/index'
import type { Page, Site } from '#core/site/schema'
import { pauseOf } from '#core/blocks/strip'
import { isContainer } from '#core/blocks/tree'
import { writtenOut } from '#core/style/written-out'
import { GOES_ON } from './motion-animations'
import { showsOne } from '#core/blocks/panel'
import { isFilm } from '#core/picture/picture'
import { picturesById } from '#core/site/tree'
import type { ViewportUnit } from '#core/style/css-values'
import { type Addresses, fillPicture, imageFiles } from './image'
import type { ListedPage, PanelOfPage } from '#core/blocks/element'
import { answersTo, isAnswered } from '#core/blocks/block-states'
import { fieldNames, labelOf } from './field-names'
import { rulesOf } from './block-rules'
import type { Behaviour } from './behaviour'
import { isBoxed, type PicturesPrinted } from './picture-parts'
import { foldedRules, oneShownRules } from './panel-rules'
import { panelAround, panelsOf, pressedIn } from './panels'
import type { DrawnIn, Sights } from './drawn'
import { element } from '#core/blocks/html'
import { restyledSite, restyledPage } from '#core/site/directions'
import { blockClasses, type BlockName, sectionClasses, slug } from './names'
import type { Rule } from './rules'
import { pageSurround, type Surround, surroundOf } from './surround'

export type RenderOptions = {
  language: string
  addresses: Addresses
  /** True in the views: blocks carry their ids, and blocks without words show their place. */
  editing: boolean
  /** True for pages whose blocks carry their ids though nothing is edited. */
  named?: boolean | undefined
  viewportUnit: ViewportUnit
  /** What the page does by itself; in the views all is done from outside, so they load none of it. */
  behaviour?: Behaviour | undefined
}

/** Where one width of each picture is printed, nobody asks what it is drawn at. */
const NOTHING_DRAWN: DrawnIn = () => undefined

/** Width of a poster, px of the page. */
const POSTER = 800

/** True where something that is printed moves on and on by itself, so that it must be paused. */
const goesOn = (rules: readonly Rule[]): boolean =>
  rules.some(({ declarations }) => declarations.some(([name, value]) => name === 'animation' && value.includes(GOES_ON)))

/** One section as it is printed: its element, and the rules of all blocks in it. */
export type RenderedSection = { id: string; element: Element; rules: readonly Rule[] }

/** What surrounds all blocks of a section that is printed. */
type Within = {
  site: Site
  page: Page
  names: Map<string, BlockName>
  drawn: DrawnIn
  /** The blocks of the page that buttons open or show. */
  panels: ReadonlyMap<string, PanelOfPage>
  /** The class of a section of the page that is shown. */
  section: (id: string) => string | undefined
}

type Entry = { key: string; name: string; element: Element | undefined; rules: readonly Rule[]; own: number }

/** Everything of a site, besides the block itself, that a printed block depends on. */
type Shared = Pick<Site, 'breakpoints' | 'pictures'> & { listed: string }

/** The pages that navigation lists. */
export const listedPages = (site: Site): ListedPage[] =>
  site.pages.filter((page) => !page.unlisted).map(({ id, name }) => ({ id, name }))

/**
 * A renderer that remembers what it printed for each block object: after an edit, only the edited block and what
 * stands around it are printed again. What blocks share (breakpoints, pictures) empties the memory; the style guide
 * does not, since blocks name its roles and tokens and hold none of its values.
 */
export function createRenderer(options: RenderOptions) {
  let memory = new WeakMap<Block, Entry>()
  let shared: Shared | undefined
  let classes: { sections: Section[]; map: ReadonlyMap<string, string> } | undefined
  let pictures = new Map<string, Site['pictures'][number]>()
  let pages: ListedPage[] = []

  const { behaviour } = options
  const find = (id: string) => pictures.get(id)
  const still = (id: string) => {
    const found = find(id)
    return found && !isFilm(found) ? found : undefined
  }
  const { sources } = options.addresses
  const manyFormats = sources !== undefined && (options.addresses.formats?.length ?? 1) > 1
  const printing: PicturesPrinted = { find: still, fill: fillPicture(options.addresses, still), boxed: manyFormats }

  /** Class names of the sections; worked out again only when sections come, go, move or change their names. */
  function classesOf(site: Site): ReadonlyMap<string, string> {
    let at = 0
    let same = classes !== undefined
    for (const page of site.pages) {
      for (const section of page.sections) {
        const before = classes?.sections[at++]
        if (before === section) continue
        same &&= before?.id === section.id && before.name === section.name && before.job === section.job
      }
    }
    if (classes && same && classes.sections.length === at) return classes.map
    classes = { sections: site.pages.flatMap((page) => page.sections), map: sectionClasses(site) }
    return classes.map
  }

  function visit(
    block: Block,
    within: Within,
    surround: Surround,
    ancestors: readonly Block[] = [],
    form?: BlockOf<'form'>,
  ): Entry {
    const { site, page, names, drawn, panels, section } = within
    // The key names what is inside as well: a block elsewhere in the section may have shifted those names.
    const { name, key: named } = names.get(block.id)!
    // States are for visitors alone, and so is what they need.
    const holder = behaviour && block.style.group && answersTo(ancestors)
    const around = holder && names.get(holder.id)!.name
    const key = `${named}|${surround.key}|${form !== undefined}${around === undefined ? '' : `|${around}`}`
    const known = memory.get(block)
    if (known?.key === key) return known
    const own = rulesOf(
      block,
      name,
      surround,
      site.breakpoints,
      options.viewportUnit,
      printing,
      behaviour && ((...given) => behaviour.statesOf(...given, around)),
    )
    own.push(...(behaviour?.changesOf ?? oneShownRules)(block, `.${name}`), ...foldedRules(block, `.${name}`, site.breakpoints))
    if (behaviour) own.push(...behaviour.conditionsOf(block, `.${name}`, form))
    if (behaviour?.motionOf)
      own.push(
        ...behaviour.motionOf(
          block,
          name,
          site.breakpoints,
          (id) => {
            const followed = section(id)
            return followed === undefined ? undefined : `--${followed}`
          },
          (colour) => writtenOut(colour, site.guide.colours),
        ),
      )
    let rules: readonly Rule[] = own
    const children: ElementContent[] = []
    if (isContainer(block)) {
      const inner = surroundOf(block, surround, site.breakpoints)
      const chain = [...ancestors, block]
      const all = [...own]
      for (const child of block.children) {
        if (child.hidden) continue
        const printed = visit(child, within, inner, chain, block.kind === 'form' ? block : form)
        if (!printed.element) continue
        // A caption is one only in its figure (HTML, 4.4.13).
        const strayed = printed.element.tagName === 'figcaption' && !(block.kind === 'group' && block.element === 'figure')
        const from = showsOne(block) ? block.steps?.at.find((one) => one.block === child.id)?.of : undefined
        const start = from === undefined ? undefined : (section(from) ?? panels.get(from)?.id)
        const placed = strayed ? { ...printed.element, tagName: 'p' } : printed.element
        const more = {
          ...(start === undefined ? {} : { dataFrom: start }),
          ...(block.kind === 'form' && block.parts && child.kind === 'group' && !options.editing ? { dataPart: '' } : {}),
        }
        children.push(Object.keys(more).length === 0 ? placed : { ...placed, properties: { ...placed.properties, ...more } })
        for (const one of printed.rules) all.push(one)
      }
      rules = all
    }
    const className = [
      sharedClass(block),
      own.length > 0 || block.kind === 'section' || (behaviour && isAnswered(block, ancestors)) ? name : '',
    ].filter((one) => one !== '')
    const { language, addresses, editing } = options
    if (block.kind === 'section' && behaviour?.motionOf && goesOn(rules)) children.push(pauseOf(options))
    const rendered = kindOf(block.kind).element(block, {
      language,
      editing,
      named: options.named,
      className,
      anchor: name,
      children,
      inForm: form !== undefined,
      fieldName: (field) => (form && fieldNames(form).get(field.id)) ?? slug(labelOf(field) || field.input),
      picture: (id) => still(id),
      film: (id) => {
        const film = find(id)
        return film && isFilm(film)
          ? { src: addresses.picture(film, null), type: film.type, width: film.width, height: film.height }
          : undefined
      },
      poster: (id, width = POSTER) => {
        const picture = still(id)
        return picture && addresses.picture(picture, picture.type === 'image/svg+xml' ? null : Math.min(picture.width, 2 * width))
      },
      sprite: addresses.icon,
      captions: (one, tongue) => addresses.captions?.(one, tongue),
      framed: (id) => {
        const other = site.pages.find((one) => one.id === id)
        return other && addresses.framed && { src: addresses.framed(other), name: other.name }
      },
      image: (one, picture) =>
        imageFiles(one, picture, still, {
          addresses,
          breakpoints: site.breakpoints,
          surround,
          drawn,
        }),
      boxed: isBoxed(block, manyFormats),
      panel: (id) => panels.get(pressedIn(id, ancestors)),
      panelAround: panelAround(ancestors, panels),
      href: (link) => addresses.link(link, page),
      action: addresses.form,
      pages,
      page: page.id,
    })
    const panel = panels.get(block.id)
    // Of a nav it is the part that is folded away.
    if (panel && rendered && block.kind !== 'nav') rendered.properties.id = panel.id
    const reveal = behaviour?.motionOf && behaviour.revealOf(block)
    if (reveal && rendered) rendered.properties.dataReveal = reveal.of === undefined ? '' : (section(reveal.of) ?? '')
    const entry: Entry = { key, name, element: rendered, rules, own: own.length }
    memory.set(block, entry)
    return entry
  }

  const within = (
    site: Site,
    page: Page,
    section: Section,
    name: string,
    sights: (() => Sights) | undefined,
    map: ReadonlyMap<string, string>,
    panels: ReadonlyMap<string, PanelOfPage>,
  ): Within => ({
    site,
    page,
    panels,
    names: blockClasses(section, name),
    drawn: sources && sights ? sources.drawnIn(section, site, sights) : NOTHING_DRAWN,
    section: (id) => (page.sections.some((one) => one.id === id && !one.hidden) ? map.get(id) : undefined),
  })

  return function render(given: Site, asked: Page): RenderedSection[] {
    const site = restyledSite(given)
    const page = restyledPage(given, asked)
    const panels = panelsOf(page)
    // Navigation follows the pages, names of type roles are kept from sections, and buttons name what they open.
    const listed = JSON.stringify([
      listedPages(site),
      [...panels],
      site.guide.types.map((one) => one.role),
      // What moves names the sections that it follows.
      behaviour
        ? [...classesOf(site)].join() + site.pages.flatMap((one) => one.sections.map((each) => each.hidden === true)).join()
        : '',
    ])
    if (shared?.breakpoints !== site.breakpoints || shared.pictures !== site.pictures || shared.listed !== listed) {
      memory = new WeakMap()
      pictures = picturesById(site)
      pages = listedPages(site)
      shared = { breakpoints: site.breakpoints, pictures: site.pictures, listed }
      classes = undefined
    }
    const outer = pageSurround(site.breakpoints)
    const map = classesOf(site)
    const sights = sources?.sightsOf(site, options.language)
    const printed: RenderedSection[] = []
    for (const section of page.sections) {
      if (section.hidden) continue
      const known = memory.get(section)
      const name = map.get(section.id)!
      // A section is one object with all that it holds, so its own class is all that can have changed.
      const entry = known?.name === name ? known : visit(section, within(site, page, section, name, sights, map, panels), outer)
      printed.push({ id: section.id, element: entry.element!, rules: entry.rules })
    }
    return printed
  }
}

/**
 * The body of a page: its sections under their landmarks, headers first, then one `main`, footers last.
 * @param skip a link that leads past the header, where there is one
 */
export function pageBody(page: Page, sections: readonly RenderedSection[], skip?: Element): Element[] {
  const jobs = new Map(page.sections.map((section) => [section.id, section.job]))
  const jobAt = (index: number) => jobs.get(sections[index]?.id ?? '')
  let first = 0
  while (jobAt(first) === 'header') first++
  let last = sections.length
  while (last > first && jobAt(last - 1) === 'footer') last--
  const elements = sections.map((one) => one.element)
  const past = skip && first > 0 ? [skip] : []
  const main = element('main', past.length > 0 ? { id: 'main' } : {}, elements.slice(first, last))
  return [...past, ...elements.slice(0, first), main, ...elements.slice(last)]
}
