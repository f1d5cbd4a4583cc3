import { MAX_DECK } from '#core/deck/parse'
import { FormatError } from '#core/formats/site-json'
import { weightInWords } from '#core/values/weight'
import { inThread } from './threads/pool'
import { tooMuch } from './too-much'

/** Most that a document of copy may weigh, bytes; a .docx may hold pictures, which are left out. */
export const MAX_COPY = { docx: 20 * 1024 * 1024, text: 4 * MAX_DECK }

/** The text of a file, or a sentence that says that it has none. */
function fromText(bytes: Uint8Array, name: string): string {
  let text: string
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    throw new FormatError(`“${name}” is not text in UTF-8. Save it as plain text or Markdown in UTF-8.`)
  }
  // oxlint-disable-next-line no-control-regex -- these are the characters that text does not have
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
  const most = docx ? MAX_COPY.docx : MAX_COPY.text
  if (bytes.length > most)
    throw new FormatError(`“${name}” weighs ${weightInWords(bytes.length)}; ${weightInWords(most)} at most can be read.`)
  const text = docx ? await inThread(Symbol(name), 'docx', { bytes, name }, { sentence: tooMuch(name) }) : fromText(bytes, name)
  if (text.length > MAX_DECK)
    throw new FormatError(
      `“${name}” has ${text.length.toLocaleString('en-GB')} characters; a copy deck holds ${MAX_DECK.toLocaleString('en-GB')} at most.`,
    )
  if (text.trim() === '') throw new FormatError(`“${name}” has no words in it.`)
  return text.replace(/\r\n?/g, '\n').replace(/^\uFEFF/, '')
}
