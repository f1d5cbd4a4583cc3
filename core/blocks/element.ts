import type { Element, ElementContent, Properties } from 'hast'
import type { Picture } from '#core/picture/picture'
import type { Icon } from '#core/values/icon'
import type { Link } from '#core/values/link'
import { plainText } from '#core/values/words'
import type { Block, WordBlock } from './index'
import type { FieldBlock } from './field'
import type { FormBlock } from './form'
import type { Panel } from './panel'
import type { PictureBlock } from './picture'
import type { Video } from './video'
import { element } from './html'
import { renderWords } from './words-html'

/** A block that is opened or shown by buttons. */
export type PanelOfPage = { id: string; as?: Panel }

/** A page that navigation may lead to. */
export type ListedPage = { id: string; name: string }

/** The attributes of an image, and of the sources that are asked before it. */
export type ImageFiles = { image: Properties; sources: readonly Properties[] }

/** What printing a block needs to know besides the block. */
export type ElementContext = {
  language: string
  /** True in the views, where blocks without words still show their place. */
  editing: boolean
  /** True where blocks carry their ids though nothing is edited. */
  named?: boolean | undefined
  /** Classes of the block; empty for none. */
  className: string[]
  /** The id of a section, for links to it. */
  anchor: string
  children: ElementContent[]
  /** True in a form, which a button without a link sends. */
  inForm: boolean
  /** The name that a field's entries arrive under. */
  fieldName: (field: FieldBlock) => string
  /** A picture of the site. */
  picture: (id: string) => Picture | undefined
  /** A video of the site, and where its bytes are. */
  film: (id: string) => { src: string; type: string; width: number; height: number } | undefined
  /** Where one file of a picture is, at a width in px. */
  poster: (id: string, width?: number) => string | undefined
  /** Where an icon is, in a file of all; each is printed where it stands, if nothing is said. */
  sprite: ((icon: Icon, centred: boolean) => string) | undefined
  /** Where the captions of a video are, in a language. */
  captions: (block: Video, language: string) => string | undefined
  /** Where a page of the site is shown inside another. */
  framed: (page: string) => { src: string; name: string } | undefined
  /** Where an image's bytes are, and in which widths. */
  image: (block: PictureBlock, picture: Picture) => ImageFiles
  /** True where an image stands in a box of its own, under a scrim or in a link. */
  boxed: boolean
  /** A block of the page that buttons open or show: its id in the page, and where it is seen. */
  panel: (id: string) => PanelOfPage | undefined
  /** The panel that a block stands in. */
  panelAround: PanelOfPage | undefined
  /** URL that a link leads to. */
  href: (link: Link) => string
  /** Where a form sends its entries. */
  action: (form: FormBlock) => string
  /** The pages that a nav which follows them lists, and the one that is printed. */
  pages: readonly ListedPage[]
  page: string
}

/** The attributes of a block's element: its classes, its id in the views, and more. */
export const attributes = (block: Block, { className, editing, named }: ElementContext, more: Properties = {}): Properties => {
  const properties: Properties = className.length === 0 ? more : { className, ...more }
  return editing || named ? { ...properties, dataBlock: block.id } : properties
}

/** The words of a block, in the language that is printed. */
export const spansIn = (block: WordBlock, { language }: ElementContext) => block.words[language] ?? []

/** Spans as children of an element. */
export const wordsIn = (block: WordBlock, context: ElementContext): ElementContent[] =>
  renderWords(spansIn(block, context), (href) => context.href({ href }))

/** An element around a block's words; in the views one without words shows what it is meant for. */
export function worded(block: WordBlock, context: ElementContext, tag: string, more?: Properties): Element | undefined {
  const empty = plainText(spansIn(block, context)).trim() === ''
  if (empty && !context.editing) return undefined
  const properties = attributes(block, context, more)
  if (empty) properties.dataEmpty = block.name ?? ('part' in block && block.part ? block.part : block.kind)
  return element(tag, properties, wordsIn(block, context))
}

/** `href` of a block that leads somewhere. */
export const linked = (link: Link | undefined, { href }: ElementContext): Properties => (link ? { href: href(link) } : {})

/** `aria-current` of a link to the page that it stands on. */
export const currentOf = (link: Link | undefined, { page }: ElementContext): Properties =>
  link && 'page' in link && link.page === page && link.section === undefined ? { ariaCurrent: 'page' } : {}

/** The name that a block is given for those who hear the page, if it has one. */
export function labelOf({ label }: { label?: Record<string, string> }, { language }: ElementContext): Properties {
  const name = (label?.[language] ?? Object.values(label ?? {})[0] ?? '').trim()
  return name === '' ? {} : { ariaLabel: name }
}
