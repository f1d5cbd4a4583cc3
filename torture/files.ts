import { strToU8, zipSync } from 'fflate'
import { convert } from 'fontverter'
import { BufferTarget, EncodedPacket, EncodedVideoPacketSource, Mp4OutputFormat, Output, WebMOutputFormat } from 'mediabunny'
import { readFileSync } from 'node:fs'
import sharp from 'sharp'
import type { Chooser } from '#core/edits/edit'
import type { ACCEPTED, FileKind } from '#core/formats/accepted'
import { cssProperties } from '#core/formats/css-properties'
import { designTokens } from '#core/formats/design-tokens'
import type { Site } from '#core/site/schema'
import { joined } from '#core/values/bytes'
import { mutateBytes, mutateText } from './mutate'

/** A valid file of every type of every kind that is read: one that is forgotten is a type error. */
export type ValidFiles = { [K in FileKind]: Record<(typeof ACCEPTED)[K][number], Uint8Array> }

const paragraphs = (count: number) =>
  `<?xml version="1.0"?><w:document xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"><w:body>${'<w:p><w:r><w:t>Bring a coat.</w:t></w:r></w:p>'.repeat(count)}</w:body></w:document>`

/** A Word document of so many paragraphs. */
export const docxOf = (count: number): Uint8Array =>
  zipSync({
    '[Content_Types].xml': strToU8(
      '<?xml version="1.0"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="xml" ContentType="application/xml"/><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Override PartName="/word/document.xml" ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml"/></Types>',
    ),
    '_rels/.rels': strToU8(
      '<?xml version="1.0"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument" Target="word/document.xml"/></Relationships>',
    ),
    'word/document.xml': strToU8(paragraphs(count)),
  })

/** A film of ten frames that say nothing: what is read of it is what its container says. */
async function filmOf(format: Mp4OutputFormat | WebMOutputFormat): Promise<Uint8Array> {
  const target = new BufferTarget()
  const output = new Output({ format, target })
  const source = new EncodedVideoPacketSource('vp9')
  output.addVideoTrack(source)
  await output.start()
  for (let n = 0; n < 10; n++)
    await source.add(new EncodedPacket(new Uint8Array(40).fill(n), n === 0 ? 'key' : 'delta', n / 10, 0.1), {
      decoderConfig: { codec: 'vp09.00.10.08', codedWidth: 64, codedHeight: 36 },
    })
  await output.finalize()
  return new Uint8Array(target.buffer!)
}

/** Files that are kept as they are: each begins as files of its type do. */
const BEGINNINGS = {
  '.pdf': '%PDF-1.7 tides',
  '.ics': 'BEGIN:VCALENDAR\r\nVERSION:2.0\r\nEND:VCALENDAR\r\n',
  '.csv': 'Night,Places\r\nFriday,40\r\n',
  '.txt': 'Bring a coat.\n',
  '.mp3': 'ID3\u0004',
  '.ogg': 'OggS\u0000',
} as const

export const SVG =
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 20"><g fill="#345"><path d="M0 0h40v20z"/><text x="2" y="9">Yes</text></g></svg>'
const MARKDOWN =
  '# Landing page\n\n## Opening\n\n# Look up\n\nBring a *coat* and [a friend](https://a.example).\n\n| Plan | Price |\n| --- | --- |\n| Night | 12 |\n'
const CAPTIONS = 'WEBVTT\n\n00:00.000 --> 00:02.000\nThe dome opens.\n'

/**
 * Makes them.
 * @param siteZip a site file of the same site, with what it holds
 */
export async function validFiles(site: Site, siteZip: Uint8Array): Promise<ValidFiles> {
  const picture = sharp({ create: { width: 64, height: 40, channels: 3, background: '#456' } })
  const as = async (format: 'jpeg' | 'png' | 'webp' | 'avif' | 'gif') =>
    new Uint8Array(await picture.clone().toFormat(format).toBuffer())
  const woff2 = readFileSync('node_modules/@fontsource-variable/karla/files/karla-latin-wght-normal.woff2')
  const sfnt = await convert(woff2, 'sfnt')
  const texts = Object.entries(BEGINNINGS).map(([type, text]) => [type, strToU8(text)] as const)
  return {
    'site file': { '.json': strToU8(JSON.stringify(site)), '.zip': siteZip },
    picture: {
      'image/jpeg': await as('jpeg'),
      'image/png': await as('png'),
      'image/webp': await as('webp'),
      'image/avif': await as('avif'),
      'image/svg+xml': strToU8(SVG),
    },
    film: { 'video/mp4': await filmOf(new Mp4OutputFormat()), 'video/webm': await filmOf(new WebMOutputFormat()) },
    captions: { '.vtt': strToU8(CAPTIONS), 'text/vtt': strToU8(CAPTIONS) },
    drawing: { 'image/svg+xml': strToU8(SVG) },
    icon: { 'image/svg+xml': strToU8(SVG) },
    'linked file': {
      ...(Object.fromEntries(texts) as Record<keyof typeof BEGINNINGS, Uint8Array>),
      '.zip': docxOf(1),
      '.epub': zipSync({ mimetype: strToU8('application/epub+zip') }),
      '.odt': zipSync({ mimetype: strToU8('application/vnd.oasis.opendocument.text') }),
      '.ods': zipSync({ mimetype: strToU8('application/vnd.oasis.opendocument.spreadsheet') }),
    },
    font: { '.woff2': new Uint8Array(woff2), '.ttf': sfnt, '.otf': sfnt },
    copy: { '.md': strToU8(MARKDOWN), '.markdown': strToU8(MARKDOWN), '.txt': strToU8(MARKDOWN), '.docx': docxOf(3) },
    guide: { '.json': strToU8(JSON.stringify(designTokens(site))), '.css': strToU8(cssProperties(site)) },
    'board picture': { 'image/*': await as('gif') },
  }
}

const IS_TEXT = /^(\.(json|md|markdown|txt|css|vtt|csv|ics)|image\/svg\+xml|text\/vtt)$/

/** The name of a file of a type, or a hostile one. */
const nameOf = (type: string, choose: Chooser): string =>
  choose.number(6) === 0
    ? choose.one(['', '../../a', 'con.pdf', 'a.html', '.ics', `${'a'.repeat(400)}.png`, '\u0000.svg'])
    : `a${type.startsWith('.') ? type : `.${type.replace(/^\w+\/|\+xml$/g, '')}`}`

/** A hostile file made of a valid one: damaged, grown, cut, or under a name that is another's. */
export function hostileFile(valid: Uint8Array, type: string, choose: Chooser): { name: string; bytes: Uint8Array<ArrayBuffer> } {
  const name = nameOf(type, choose)
  if (IS_TEXT.test(type) && choose.number(3) > 0)
    return { name, bytes: strToU8(mutateText(new TextDecoder().decode(valid), choose)) as Uint8Array<ArrayBuffer> }
  const made = choose.number(12) === 0 ? joined([valid, valid]) : mutateBytes(valid, choose)
  return { name, bytes: made as Uint8Array<ArrayBuffer> }
}
