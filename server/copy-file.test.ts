import { strToU8, zipSync } from 'fflate'
import { describe, expect, test } from 'vitest'
import { readCopyFile } from './copy-file'

const paragraph = (text: string, style?: string, bold = false) =>
  `<w:p>${style ? `<w:pPr><w:pStyle w:val="${style}"/></w:pPr>` : ''}<w:r>${bold ? '<w:rPr><w:b/></w:rPr>' : ''}<w:t xml:space="preserve">${text}</w:t></w:r></w:p>`

/** A Word document with these paragraphs. */
function docx(...paragraphs: string[]): Uint8Array {
  const styles = ['Heading1', 'Heading2', 'Heading3'].map(
    (id, i) => `<w:style w:type="paragraph" w:styleId="${id}"><w:name w:val="heading ${i + 1}"/></w:style>`,
  )
  const w = 'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"'
  return zipSync({
    '[Content_Types].xml': strToU8(
      '<?xml version="1.0"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/><Override PartName="/word/document.xml" ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml"/><Override PartName="/word/styles.xml" ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.styles+xml"/></Types>',
    ),
    '_rels/.rels': strToU8(
      '<?xml version="1.0"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument" Target="word/document.xml"/></Relationships>',
    ),
    'word/_rels/document.xml.rels': strToU8(
      '<?xml version="1.0"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/styles" Target="styles.xml"/></Relationships>',
    ),
    'word/styles.xml': strToU8(`<?xml version="1.0"?><w:styles ${w}>${styles.join('')}</w:styles>`),
    'word/document.xml': strToU8(`<?xml version="1.0"?><w:document ${w}><w:body>${paragraphs.join('')}</w:body></w:document>`),
  })
}

describe('documents of copy', () => {
  test('Word documents give their headings, paragraphs and marks', async () => {
    const text = await readCopyFile(
      docx(
        paragraph('Autumn nights', 'Heading1'),
        paragraph('Opening', 'Heading2'),
        paragraph('Bring a coat', 'Heading3'),
        paragraph('Very dark', undefined, true),
      ),
      'copy.docx',
    )
    expect(text).toBe('# Autumn nights\n\n## Opening\n\n### Bring a coat\n\n**Very dark**\n')
  })

  test('text and Markdown are taken as they are, with line ends of one kind', async () => {
    expect(await readCopyFile(strToU8('\uFEFF# A\r\n\r\nWörter'), 'copy.md')).toBe('# A\n\nWörter')
  })

  test.each([
    ['a damaged Word document', docx(paragraph('A')).slice(0, 900), 'copy.docx', /“copy.docx” is no Word document/],
    ['a Word document of 80 kB that unpacks to 20 MB', docx('<w:p/>'.repeat(3_500_000)), 'copy.docx', /weighs more than 10 MB/],
    [
      'one of a million and a half of empty paragraphs',
      docx('<w:p/>'.repeat(1_500_000)),
      'copy.docx',
      /has more in it than can be read/,
    ],
    ['a zip that is none', zipSync({ 'a.txt': strToU8('a') }), 'copy.docx', /is no Word document/],
    ['binary data', new Uint8Array([0x41, 0, 1, 2]), 'copy.txt', /holds binary data/],
    ['text in another encoding', new Uint8Array([0x41, 0xe9, 0x41]), 'copy.txt', /not text in UTF-8/],
    ['five megabytes of Markdown', strToU8('word '.repeat(1024 * 1024)), 'copy.md', /weighs 5\.0 MB; 3\.8 MB at most|characters/],
    ['a million and one characters', strToU8('a'.repeat(1_000_001)), 'copy.md', /1,000,001 characters/],
    ['nothing', strToU8(' \n '), 'copy.md', /has no words/],
  ])('%s is refused with a sentence', async (_, bytes, name, sentence) => {
    await expect(readCopyFile(bytes, name)).rejects.toThrow(sentence)
  })
})
