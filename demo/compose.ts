import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { type Icon, iconSchema } from '#core/values/icon'
import type { Block, BlockKind, BlockOf, Container, Section } from '#core/blocks/index'
import type { Picture } from '#core/picture/picture'
import type { Link } from '#core/values/link'
import type { Span } from '#core/values/words'
import { type Style, type StyleValues } from '#core/style/registry'

/** What a block of the demo is made with: its style, and exceptions below the breakpoints `middle` and `narrow`. */
export type Styling = StyleValues & {
  middle?: StyleValues
  narrow?: StyleValues
  hover?: StyleValues
  /** Under the pointer on its card or group. */
  withGroup?: StyleValues
  name?: string
}

let count = 0
const nextId = () => `d${(count++).toString(36).padStart(3, '0')}`

/** Begins the ids of a new site, so that the same content always gives the same file. */
export function beginSite(): void {
  count = 0
}

function common(look: Styling): { id: string; name?: string; style: Style } {
  const { middle, narrow, hover, withGroup, name, ...base } = look
  const style: Style = {}
  if (Object.keys(base).length > 0) style.base = base
  if (middle || narrow) style.below = { ...(middle ? { middle } : {}), ...(narrow ? { narrow } : {}) }
  if (hover) style.hover = hover
  if (withGroup) style.group = withGroup
  return name === undefined ? { id: nextId(), style } : { id: nextId(), name, style }
}

const block = <K extends BlockKind>(kind: K, look: Styling, fields: object): BlockOf<K> =>
  ({ ...common(look), kind, ...fields }) as unknown as BlockOf<K>
const words = (text: string | Span[]) => ({ words: { en: typeof text === 'string' ? [text] : text } })
const holder = <K extends Container['kind']>(kind: K, look: Styling, children: Block[], fields: object = {}) =>
  block(kind, look, { ...fields, children })

export const section = (job: Section['job'], look: Styling, children: Block[]): Section =>
  holder('section', look, children, { job })
export const group = (look: Styling, children: Block[], element?: 'article' | 'figure', fields: object = {}): Block =>
  holder('group', look, children, { ...fields, ...(element ? { element } : {}) })
/** Slides that stand side by side; each is a picture with its caption. */
export const slideshow = (label: string, look: Styling, children: Block[]): Block =>
  holder('slideshow', look, children, { label: { en: label } })
export const eyebrow = (text: string, look: Styling = {}): Block => block('eyebrow', look, words(text))
export const heading = (level: number, text: string | Span[], look: Styling = {}): Block =>
  block('heading', look, { ...words(text), level })
export const text = (value: string | Span[], look: Styling = {}, type?: string): Block =>
  block('text', look, { ...words(value), ...(type ? { type } : {}) })
export const button = (value: string, look: string, link: Link, style: Styling = {}): Block =>
  block('button', style, { ...words(value), look, link })
/** A button that shows one block of a group that shows them one at a time. */
export const showing = (value: string, look: string, shows: Block, style: Styling = {}): Block =>
  block('button', style, { ...words(value), look, press: { shows: shows.id } })
export const link = (value: string, to: Link, look: Styling = {}, type?: string): BlockOf<'link'> =>
  block('link', look, { ...words(value), link: to, ...(type ? { type } : {}) })
export const nav = (label: string, look: Styling, links: BlockOf<'link'>[], fields: object = {}): Block =>
  holder('nav', look, links, { label: { en: label }, ...fields })
export const list = (ordered: boolean, look: Styling, items: string[]): Block =>
  holder(
    'list',
    look,
    items.map((item) => block('item', {}, words(item))),
    { ordered },
  )
/** The line under a picture that stands with it in a figure. */
export const caption = (value: string): Block => block('text', {}, { ...words(value), type: 'small', caption: true })
/** A table, row by row; its first row and its first column head the others. */
export const table = (about: string, rows: readonly (readonly string[])[], look: Styling = {}): Block =>
  block('table', look, {
    words: { en: rows.flatMap((row, n): Span[] => [...(n > 0 ? [{ kind: 'break' as const }] : []), row.join(' | ')]) },
    head: 'both',
    caption: { en: about },
  })
/** A size that grows with the width, px at 375 and at 1360 px. */
export const fluid = (small: number, large: number) => ({
  fluid: { from: { at: 375, px: small }, to: { at: 1360, px: large } },
})
export const divider = (look: Styling = {}): Block => block('divider', look, {})
export const picture = (id: string, alt: string, look: Styling = {}): Block =>
  block('picture', look, { picture: id, alt: { en: alt } })

const icons = JSON.parse(readFileSync(join('node_modules', 'lucide-static', 'icon-nodes.json'), 'utf8')) as Record<string, unknown>

/** An icon of the open Lucide set. */
export function icon(name: string, size: number, look: Styling = {}): Block {
  const drawn: Icon = iconSchema.parse({ name, nodes: icons[name] })
  return block('icon', look, { icon: drawn, size })
}

const painted = JSON.parse(readFileSync(join('demo', 'pictures.json'), 'utf8')) as Record<
  string,
  Pick<Picture, 'hash' | 'width' | 'height'>
>

/** A painted picture as a picture of a site; its id is its name. */
export const painting = (name: string): Picture => ({
  id: name,
  name: `${name}.jpg`,
  type: 'image/jpeg',
  ...painted[name]!,
})
