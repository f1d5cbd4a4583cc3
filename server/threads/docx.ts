import { zipSync } from 'fflate'
import type { Element, Root } from 'hast'
import { fromHtml } from 'hast-util-from-html'
import { toMdast } from 'hast-util-to-mdast'
import mammoth from 'mammoth'
import { gfmTableToMarkdown } from 'mdast-util-gfm-table'
import { toMarkdown } from 'mdast-util-to-markdown'
import { unpack } from '#core/formats/unpack'
import { FormatError } from '#core/formats/site-json'
import { tooMuch } from '../too-much'

/** Most that the parts of a Word document may unpack to together, bytes; its pictures are not unpacked. */
export const MAX_UNPACKED = 10 * 1024 * 1024

/** Most tags in a Word document: some three thousand pages have fewer. Each takes work and memory far beyond its bytes. */
const MOST_TAGS = 1_000_000

function tagsIn(parts: Iterable<Uint8Array>): number {
  let tags = 0
  for (const part of parts) for (let at = part.indexOf(0x3c); at >= 0; at = part.indexOf(0x3c, at + 1)) tags++
  return tags
}

/** Puts the headings of a document that has a title one level below it. */
function standUnderTitle(tree: Root): void {
  const isTitle = (node: Element) => Array.isArray(node.properties.className) && node.properties.className.includes('title')
  const headings: Element[] = []
  const visit = (node: Root | Element) => {
    for (const child of node.children) {
      if (child.type !== 'element') continue
      if (/^h[1-6]$/.test(child.tagName)) headings.push(child)
      visit(child)
    }
  }
  visit(tree)
  if (!headings.some(isTitle)) return
  for (const one of headings) if (!isTitle(one)) one.tagName = `h${Math.min(6, Number(one.tagName[1]) + 1)}`
}

/** A Word document as Markdown: its headings, tables, paragraphs, lists, links and emphasis, without its pictures. */
export async function markdownOfDocx({ bytes, name }: { bytes: Uint8Array; name: string }): Promise<string> {
  const parts = unpack(bytes, {
    what: `“${name}”`,
    most: MAX_UNPACKED,
    entry: (part) => (/^[\w[\] ./-]+\.(xml|rels)$/.test(part) ? MAX_UNPACKED : undefined),
  })
  if (tagsIn(parts.values()) > MOST_TAGS) throw new FormatError(tooMuch(name))
  let html: string
  try {
    const result = await mammoth.convertToHtml(
      // What has been weighed is what is read: a zip can list other entries than those that stand in it.
      { buffer: Buffer.from(zipSync(Object.fromEntries(parts), { level: 0 })) },
      {
        convertImage: mammoth.images.imgElement(() => Promise.resolve({ src: '' })),
        styleMap: ["p[style-name='Title'] => h1.title:fresh", "p[style-name='Subtitle'] => p:fresh"],
      },
    )
    html = result.value
  } catch {
    throw new FormatError(`“${name}” is no Word document (.docx), or it is damaged. Save it anew and try again.`)
  }
  const tree = fromHtml(html, { fragment: true }) as Root
  standUnderTitle(tree)
  try {
    return toMarkdown(toMdast(tree), { extensions: [gfmTableToMarkdown()], emphasis: '*', strong: '*' })
  } catch {
    throw new FormatError(`“${name}” has parts that cannot be read as text. Copy its words and paste them here instead.`)
  }
}
