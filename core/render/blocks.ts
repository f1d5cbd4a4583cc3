import type { Element, ElementContent, Properties } from 'hast'
import { drawnWidths, sizesAttribute, sizesOfDrawn, sourceWidths } from '#core/picture/sizes'
import type { BlockKind } from '#core/site/kinds'
import type { Link } from '#core/site/link'
import type { Block, BlockOf, Breakpoint, Picture, WordBlock } from '#core/site/schema'
import { plainText } from '#core/site/words'
import { isBoxed } from './declarations'
import { type DrawnIn, shapeFactor } from './drawn'
import { element } from './element'
import { fieldNames, labelOf } from './field-names'
import { slug } from './names'
import { extentOf, scaled, type Surround } from './surround'
import { renderWords } from './words'

/** Where the parts of a page are found once it is printed. */
export type Addresses = {
  /** URL of a picture, at a width in px or as it is. */
  picture: (picture: Picture, width: number | null) => string
  /** True to offer every width that the layout needs; false for one picture of medium width. */
  sources: boolean
  link: (link: Link) => string
  /** Where a form sends its entries. */
  form: (form: BlockOf<'form'>) => string
}

/** A page that navigation may lead to. */
export type ListedPage = { id: string; name: string }

/** What printing a block needs to know besides the block. */
export type BlockContext = {
  language: string
  breakpoints: readonly Breakpoint[]
  pictures: ReadonlyMap<string, Picture>
  addresses: Addresses
  /** True in the views, where blocks without words still show their place. */
  editing: boolean
  /** Classes of the block; empty for none. */
  className: string[]
  /** The id of a section, for links to it. */
  anchor: string
  surround: Surround
  /** What the pictures of the section are drawn at. */
  drawn: DrawnIn
  /** The form around it, which a button without a link sends. */
  form: BlockOf<'form'> | undefined
  children: ElementContent[]
  /** The pages that a nav which follows them lists, and the one that is printed. */
  pages: readonly ListedPage[]
  page: string
}

type Handler<B extends Block> = (block: B, context: BlockContext) => Element | undefined

/** Width of the one picture that the views show, px. */
const VIEW_PICTURE = 1600

const attributes = (block: Block, { className, editing }: BlockContext, more: Properties = {}): Properties => {
  const properties: Properties = className.length === 0 ? more : { className, ...more }
  return editing ? { ...properties, dataBlock: block.id } : properties
}

function worded<B extends WordBlock>(
  tag: (block: B) => string,
  more?: (block: B, context: BlockContext) => Properties,
): Handler<B> {
  return (block, context) => {
    const spans = block.words[context.language] ?? []
    const empty = plainText(spans).trim() === ''
    if (empty && !context.editing) return undefined
    const properties = attributes(block, context, more?.(block, context))
    if (empty) properties.dataEmpty = block.name ?? ('part' in block && block.part ? block.part : block.kind)
    return element(
      tag(block),
      properties,
      renderWords(spans, (href) => context.addresses.link({ href })),
    )
  }
}

const linked = (block: BlockOf<'button' | 'link' | 'picture'>, context: BlockContext): Properties =>
  block.link ? { href: context.addresses.link(block.link) } : {}

const LANDMARKS: Partial<Record<string, string>> = { header: 'header', footer: 'footer' }

const hasHeading = (nodes: readonly ElementContent[]): boolean =>
  nodes.some((node) => node.type === 'element' && (/^h[1-6]$/.test(node.tagName) || hasHeading(node.children)))

/** A band without a heading is no section of the document's outline (HTML, 4.3.3), so it is a plain division. */
const sectionTag = (block: BlockOf<'section'>, children: readonly ElementContent[]): string =>
  LANDMARKS[block.job] ?? (hasHeading(children) ? 'section' : 'div')

/** A picture that is not chosen yet: a crossed frame. */
function emptyFrame(block: Block, context: BlockContext): Element {
  const line = (x1: string, y1: string, x2: string, y2: string) => element('line', { x1, y1, x2, y2 }, [])
  const frame = element('svg', { ariaHidden: 'true', width: '100%', height: '100%' }, [
    line('0', '0', '100%', '100%'),
    line('0', '100%', '100%', '0'),
  ])
  // A frame without a shape of its own is as high as a picture might be.
  const shaped = block.style.base?.aspect !== undefined || block.style.base?.height !== undefined
  const className = [...context.className, 'frame', ...(shaped ? [] : ['frame-open'])]
  return element('div', attributes(block, { ...context, className }), [frame])
}

function picture(block: BlockOf<'picture'>, context: BlockContext): Element {
  const chosen = block.picture === undefined ? undefined : context.pictures.get(block.picture)
  if (!chosen) return emptyFrame(block, context)
  const { addresses, breakpoints, surround } = context
  const boxed = isBoxed(block)
  const vector = chosen.type === 'image/svg+xml'
  const image: Properties = {
    alt: block.alt?.[context.language] ?? '',
    width: chosen.width,
    height: chosen.height,
  }
  if (vector) image.src = addresses.picture(chosen, null)
  else if (!addresses.sources) image.src = addresses.picture(chosen, Math.min(chosen.width, VIEW_PICTURE))
  else {
    const drawn = context.drawn(block, chosen)
    const extents = drawn
      ? []
      : breakpoints.map((_, index) =>
          scaled(extentOf(block, surround, breakpoints, index), shapeFactor(block, chosen, breakpoints, index)),
        )
    const widths = drawn ? drawnWidths(drawn, chosen.width) : sourceWidths(extents, breakpoints, chosen.width)
    image.src = addresses.picture(chosen, widths[Math.floor(widths.length / 2)]!)
    if (widths.length > 1) {
      image.srcSet = widths.map((width) => `${addresses.picture(chosen, width)} ${width}w`).join(', ')
      image.sizes = drawn ? sizesOfDrawn(drawn, breakpoints) : sizesAttribute(extents, breakpoints)
    }
    // A picture behind a section is what is seen first; the others wait until they are near.
    if (block.style.base?.position !== 'backdrop') image.loading = 'lazy'
    else image.fetchPriority = 'high'
  }
  if (!boxed) return element('img', attributes(block, context, image), [])
  const tag = block.link ? 'a' : 'div'
  return element(tag, attributes(block, context, linked(block, context)), [element('img', image, [])])
}

/** A link to each listed page of the site, in the order of the site. */
const pageLinks = ({ pages, page, addresses }: BlockContext): Element[] =>
  pages.map(({ id, name }) =>
    element('a', { href: addresses.link({ page: id }), ...(id === page ? { ariaCurrent: 'page' } : {}) }, [
      { type: 'text', value: name },
    ]),
  )

/** What browsers may fill in by themselves, by the kind of input (HTML, 4.10.18.7). */
const AUTOCOMPLETE: Partial<Record<string, string>> = { email: 'email', tel: 'tel' }

/** A field under its label, with the name under which its entries arrive. */
function field(block: BlockOf<'field'>, context: BlockContext): Element {
  const spans = block.words[context.language] ?? []
  const name = (context.form && fieldNames(context.form).get(block.id)) ?? slug(labelOf(block) || block.input)
  const shared: Properties = { name, ...(block.required ? { required: true } : {}) }
  const autoComplete = AUTOCOMPLETE[block.input]
  const input =
    block.input === 'area'
      ? element('textarea', { ...shared, rows: 4 }, [])
      : element('input', { type: block.input, ...shared, ...(autoComplete ? { autoComplete: [autoComplete] } : {}) }, [])
  const empty = plainText(spans).trim() === ''
  const label = element(
    'span',
    empty && context.editing ? { dataEmpty: block.name ?? 'label' } : {},
    renderWords(spans, (href) => context.addresses.link({ href })),
  )
  return element('label', attributes(block, { ...context, className: ['field', ...context.className] }), [label, input])
}

const handlers: { [K in BlockKind]: Handler<BlockOf<K>> } = {
  section: (block, context) =>
    element(sectionTag(block, context.children), attributes(block, context, { id: context.anchor }), context.children),
  group: (block, context) => element(block.element ?? 'div', attributes(block, context), context.children),
  list: (block, context) => element(block.ordered ? 'ol' : 'ul', attributes(block, context), context.children),
  nav: (block, context) =>
    element(
      'nav',
      attributes(block, context, block.label[context.language] ? { ariaLabel: block.label[context.language] } : {}),
      block.follows ? pageLinks(context) : context.children,
    ),
  form: (block, context) =>
    element('form', attributes(block, context, { method: 'post', action: context.addresses.form(block) }), context.children),
  field,
  eyebrow: worded(() => 'p'),
  heading: worded((block) => `h${block.level}`),
  text: worded(() => 'p'),
  quote: worded(() => 'blockquote'),
  item: worded(() => 'li'),
  button: worded(
    (block) => (block.link ? 'a' : 'button'),
    (block, context) => (block.link ? linked(block, context) : { type: context.form ? 'submit' : 'button' }),
  ),
  link: worded<BlockOf<'link'>>(() => 'a', linked),
  divider: (block, context) => element('hr', attributes(block, context), []),
  picture,
  icon: (block, context) =>
    element(
      'svg',
      attributes(block, context, {
        ariaHidden: 'true',
        width: String(block.size),
        height: String(block.size),
        viewBox: '0 0 24 24',
        fill: 'none',
        stroke: 'currentColor',
        strokeWidth: '1.5',
        strokeLineCap: 'round',
        strokeLineJoin: 'round',
      }),
      block.icon.nodes.map(([tag, shape]) => element(tag, { ...shape }, [])),
    ),
}

/** A block as an HTML element; `undefined` where a published page leaves it out, as a heading without words. */
export function renderBlock(block: Block, context: BlockContext): Element | undefined {
  return (handlers[block.kind] as Handler<Block>)(block, context)
}
