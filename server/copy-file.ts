import type { Element, Root } from 'hast'
import { fromHtml } from 'hast-util-from-html'
import { toMdast } from 'hast-util-to-mdast'
import mammoth from 'mammoth'
import { gfmTableToMarkdown } from 'mdast-util-gfm-table'
import { toMarkdown } from 'mdast-util-to-markdown'
import { MAX_DECK } from '#core/deck/parse'
import { FormatError } from '#core/formats/site-json'

/** Most that a document of copy may weigh, bytes; a .docx may hold pictures, which are left out. */
const MAX_FILE = { docx: 20 * 1024 * 1024, text: 4 * MAX_DECK }

const megabytes = (bytes: number) => (bytes / 1024 / 1024).toFixed(1)

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
async function fromDocx(bytes: Uint8Array, name: string): Promise<string> {
  let html: string
  try {
    const result = await mammoth.convertToHtml(
      { buffer: Buffer.from(bytes) },
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

/** The text of a file, or a sentence that says that it has none. */
function fromText(bytes: Uint8Array, name: string): string {
  let text: string
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    throw new FormatError(`“${name}” is not text in UTF-8. Save it as plain text or Markdown in UTF-8.`)
  }
  // eslint-disable-next-line no-control-regex -- these are the characters that text does not have
  if (/[\u0000-\u0008\u000e-\u001f]/.test(text)) throw new FormatError(`“${name}” holds binary data, not text.`)
  return text
}

/** True for a Word document, by its first bytes or its name. */
export const isDocx = (bytes: Uint8Array, name: string): boolean =>
  (bytes[0] === 0x50 && bytes[1] === 0x4b) || /\.docx$/i.test(name)

/**
 * Reads a document of copy: Markdown, plain text or Word, by its contents and its name.
 * @returns its Markdown
 * @throws FormatError that says what is wrong with it
 */
export async function readCopyFile(bytes: Uint8Array, name: string): Promise<string> {
  const docx = isDocx(bytes, name)
  const most = docx ? MAX_FILE.docx : MAX_FILE.text
  if (bytes.length > most)
    throw new FormatError(`“${name}” weighs ${megabytes(bytes.length)} MB; ${megabytes(most)} MB at most can be read.`)
  const text = docx ? await fromDocx(bytes, name) : fromText(bytes, name)
  if (text.length > MAX_DECK)
    throw new FormatError(
      `“${name}” has ${text.length.toLocaleString('en-GB')} characters; a copy deck holds ${MAX_DECK.toLocaleString('en-GB')} at most.`,
    )
  if (text.trim() === '') throw new FormatError(`“${name}” has no words in it.`)
  return text.replace(/\r\n?/g, '\n').replace(/^\uFEFF/, '')
}
