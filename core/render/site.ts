import { oneLine } from '#core/values/one-line'
import type { Element, Root } from 'hast'
import { format } from 'hast-util-format'
import { htmlText } from './html-text'
import type { BlockOf } from '#core/blocks/index'
import type { LinkedFile } from '#core/site/linked-file'
import type { Page, Site } from '#core/site/schema'
import type { WebChoices } from '#core/picture/measured'
import type { Icon } from '#core/values/icon'
import type { Making, Picture } from '#core/picture/picture'
import { fallbackCss, familiesOf, type FontFile, fontFaceCss, fontFiles, needsSubset } from '#core/type/families'
import type { Link } from '#core/values/link'
import { element } from '#core/blocks/html'
import { sectionClasses } from './names'
import { linkOfHref } from './own-links'
import { createRenderer, pageBody, type RenderedSection } from './page'
import { BEHAVIOUR, STATES_ALONE } from './behaviour'
import { travelRules } from './travel-rules'
import { asPlain, timelineRules } from './motion-timelines'
import { MOTION_SCRIPT, needsMotionScript, PLAIN_MOTION_SCRIPT } from './motion-script'
import { minifyScript, scriptFor } from './page-script'
import { headOf } from './head'
import { skipLink } from './skip'
import { SOURCES } from './sources'
import { joinLists, printRules, type Rule, type Layout } from './rules'
import { shareParts } from './share-parts'
import { inlineOnce, sharedRules, tokenDeclarations, usedTokens, withTokens } from './guide-rules'

/** Where the files of a printed site are, seen from its pages; the stylesheet's own URLs are seen from the stylesheet. */
export type SiteAddresses = {
  picture: (picture: Picture, width: number | null, making?: Making) => string
  page: (page: Page) => string
  /** Where a page is shown inside another, if that is not where it is. */
  framed?: ((page: Page) => string) | undefined
  form: (form: BlockOf<'form'>) => string
  stylesheet: string
  /** URLs of the scripts, `script.js` and `motion.js` if nothing is said. */
  script?: string
  motionScript?: string
  /** What addresses of a page are seen from, where that is not the page's own: one that is shown at any address. */
  base?: ((page: Page) => string | undefined) | undefined
  /** Where an icon is, in a file of all. */
  icon?: ((icon: Icon, centred: boolean) => string) | undefined
  /** Where a file is that links lead to. */
  file?: ((file: LinkedFile) => string) | undefined
  /** Where the captions of a video are, in a language. */
  captions?: ((block: BlockOf<'video'>, language: string) => string) | undefined
  font: (file: FontFile) => string
}

export type PrintOptions = {
  addresses: SiteAddresses
  style: Layout
  language?: string
  choices?: WebChoices | undefined
  engine?: Engine | undefined
}

/**
 * What a page is played for, where that is not what it runs in: an engine that knows no timelines of the scroll (`plain`),
 * a visitor who wants no motion (`calm`), or one who looks at what each block does (`checked`), for whom nothing moves.
 */
export const ENGINES = ['plain', 'calm', 'checked'] as const
export type Engine = (typeof ENGINES)[number]

export type PrintedSite = {
  pages: { page: Page; html: string }[]
  css: string
  fonts: FontFile[]
  /** The scripts, where some page needs them. */
  script: string | undefined
  motionScript: string | undefined
  /** Every character that the pages show, each once; fonts need no others. Worked out when it is asked for. */
  characters: () => string
}

/** What may be typed into the fields of a form, besides what the page shows. */
const TYPED = Array.from({ length: 95 }, (_, i) => String.fromCharCode(32 + i)).join('')

/** Where links of a page lead: what is on the same page is found without leaving it, at whatever address it was opened. */
function linkTo(
  site: Site,
  anchors: ReadonlyMap<string, string>,
  address: (page: Page) => string,
  file?: (file: LinkedFile) => string,
) {
  return (link: Link, from: Page): string => {
    const found = 'href' in link ? linkOfHref(site, link.href, anchors) : link
    if (!found) return 'href' in link ? link.href : '#'
    if ('href' in found) return found.href
    if ('file' in found) {
      const led = site.files?.find((one) => one.id === found.file)
      return (led && file?.(led)) ?? '#'
    }
    const page = site.pages.find((one) => one.id === found.page)
    if (!page) return '#'
    const anchor = found.section === undefined ? undefined : anchors.get(found.section)
    if (anchor === undefined) return address(page)
    return page.id === from.id ? `#${anchor}` : `${address(page)}#${anchor}`
  }
}

/** Class and tag names in a tree, for what is shared between pages. */
function collect(node: Element | Root, classes: Set<string>, tags: Set<string>): void {
  if (node.type === 'element') {
    tags.add(node.tagName)
    const { className } = node.properties
    if (Array.isArray(className)) for (const name of className) classes.add(String(name))
  }
  for (const child of node.children) if (child.type === 'element') collect(child, classes, tags)
}

/** The HTML document of a page. */
export function documentTree(
  site: Site,
  page: Page,
  language: string,
  stylesheet: Element,
  sections: readonly RenderedSection[],
  script?: string,
  motionScript?: string,
  addresses?: Pick<SiteAddresses, 'picture' | 'base'>,
): Root {
  const { picture, base } = addresses ?? {}
  const head = headOf({ site, page, language, stylesheet, script, motionScript, picture, base })
  const body = pageBody(page, sections, skipLink(language))
  return {
    type: 'root',
    children: [{ type: 'doctype' }, element('html', { lang: language }, [element('head', {}, head), element('body', {}, body)])],
  }
}

/** Prints a tree as HTML text. The tree is changed by the layout of the readable style, so it must not be used again. */
export function printHtml(tree: Root, style: Layout): string {
  if (style === 'minified') return htmlText(tree)
  const copy = structuredClone(tree)
  format(copy)
  return `${htmlText(copy).trim()}\n`
}

/** True where nothing moves on the pages that are printed. */
const isStill = ({ engine }: Pick<PrintOptions, 'engine'>): boolean => engine === 'calm' || engine === 'checked'

/** The whole stylesheet of a site: fonts, tokens and rules that are used, and no more. */
export function stylesheet(
  site: Site,
  rules: readonly Rule[],
  trees: readonly Root[],
  options: Pick<PrintOptions, 'style' | 'engine'> & { addresses: Pick<PrintOptions['addresses'], 'font'> },
): { css: string; fonts: FontFile[] } {
  const classes = new Set<string>()
  const tags = new Set<string>()
  for (const tree of trees) collect(tree, classes, tags)
  const all = joinLists([
    ...sharedRules(site, { classes, tags }),
    ...(options.engine ? [] : timelineRules(site)),
    ...(isStill(options) ? [] : travelRules(site)),
    ...(options.style === 'minified' ? shareParts(rules) : rules),
  ])
  const tokens = usedTokens(tokenDeclarations(site), all)
  const fonts = usedFonts(site, tokens, tags, all, trees)
  const final = options.style === 'minified' ? inlineOnce(tokens, all) : { tokens, rules: all }
  const css = printRules(withTokens(final.rules, final.tokens), options.style)
  const faces = fonts.map((file) =>
    fontFaceCss(
      file,
      options.addresses.font(file),
      file.family.own !== undefined ||
        !fonts.some((other) => other !== file && other.family === file.family && other.italic === file.italic),
    ),
  )
  faces.push(...[...new Set(fonts.map((file) => file.family))].map(fallbackCss))
  const text = options.style === 'readable' ? `${faces.join('\n')}\n` : faces.map(minifyFace).join('')
  return { css: `${(text + css).trim()}\n`, fonts }
}

const minifyFace = (face: string) =>
  oneLine(face, '')
    .replace(/: /g, ':')
    .replace(/ \{/g, '{')
    .replace(/;\}/g, '}')
    .replace(/" format/g, '"format')

function usedFonts(
  site: Site,
  tokens: readonly (readonly [string, string])[],
  tags: ReadonlySet<string>,
  rules: readonly Rule[],
  trees: readonly Root[],
): FontFile[] {
  const used = new Set(tokens.map(([name]) => name))
  const italic =
    tags.has('em') ||
    rules.some((rule) => rule.declarations.some(([name, value]) => name.startsWith('font') && value.startsWith('italic')))
  const text = trees.map(textOf).join('')
  const families = new Set(site.guide.faces.filter((face) => used.has(`--face-${face.name}`)).map((face) => face.family))
  return familiesOf(site.fonts)
    .filter((family) => families.has(family.id))
    .flatMap((family) => fontFiles(family).filter((file) => (italic || !file.italic) && needsSubset(file.subset, text)))
}

function textOf(node: Root | Element): string {
  let text = ''
  for (const child of node.children) {
    if (child.type === 'text') text += child.value
    // What machines read is never set in a face.
    else if (child.type === 'element' && child.tagName !== 'script') text += textOf(child)
  }
  return text
}

/** Prints a whole site: one HTML document for each page, one stylesheet, and the names of the font files it needs. */
export function printSite(site: Site, options: PrintOptions): PrintedSite {
  const language = options.language ?? site.language
  const { addresses } = options
  const link = linkTo(site, sectionClasses(site), addresses.page, addresses.file)
  const render = createRenderer({
    language,
    editing: false,
    named: options.engine === 'checked',
    behaviour: isStill(options) ? STATES_ALONE : BEHAVIOUR,
    viewportUnit: 'unit',
    addresses: {
      picture: addresses.picture,
      sources: SOURCES,
      formats: options.choices?.formats,
      measured: options.choices?.measured,
      icon: addresses.icon,
      captions: addresses.captions,
      framed: addresses.framed ?? addresses.page,
      link,
      form: addresses.form,
    },
  })
  const sheet = () => element('link', { rel: ['stylesheet'], href: addresses.stylesheet }, [])
  const printed = site.pages.map((page) => ({ page, sections: render(site, page) }))
  const elements = printed.map(({ sections }) => sections.map((one) => one.element))
  const reveals = printed.map(({ sections }) => sections.some(({ element: one }) => needsMotionScript(one)))
  const trees = printed.map(({ page, sections }, i) =>
    documentTree(
      site,
      page,
      language,
      sheet(),
      sections,
      scriptFor(elements[i]!) === undefined ? undefined : (addresses.script ?? 'script.js'),
      reveals[i] ? (addresses.motionScript ?? 'motion.js') : undefined,
      addresses,
    ),
  )
  const all = printed.flatMap(({ sections }) => sections.flatMap((one) => one.rules))
  const rules = options.engine === 'plain' ? asPlain(all) : all
  const { css, fonts } = stylesheet(site, rules, trees, options)
  const script = scriptFor(elements.flat())
  const scriptText = (text: string) => (options.style === 'minified' ? minifyScript(text) : text)
  return {
    pages: printed.map(({ page }, i) => ({ page, html: printHtml(trees[i]!, options.style) })),
    css,
    fonts,
    script: script === undefined ? undefined : scriptText(script),
    motionScript: reveals.includes(true) ? scriptText(options.engine === 'plain' ? PLAIN_MOTION_SCRIPT : MOTION_SCRIPT) : undefined,
    characters: () => charactersOf(trees),
  }
}

/** Every character of some pages, in the order of their numbers; with fields, those that are on every keyboard too. */
function charactersOf(trees: readonly Root[]): string {
  const tags = new Set<string>()
  for (const tree of trees) collect(tree, new Set(), tags)
  const typed = tags.has('input') || tags.has('textarea') ? TYPED : ''
  // Capitals are shown of small letters, list markers and hyphens are the browser's own.
  const text = trees.map(textOf).join('')
  return [...new Set(`${text}${text.toUpperCase()}${typed} ‐-•–+✓0123456789.`)].sort().join('')
}
