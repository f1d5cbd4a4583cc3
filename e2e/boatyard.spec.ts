import { unzipSync, strFromU8, strToU8, zipSync } from 'fflate'
import { readFileSync } from 'node:fs'
import { BOATYARD } from '#core/outlines/boatyard.fixture'
import { expect, saved, test } from './application'

const escaped = (text: string) => text.replace(/&/g, '&amp;').replace(/</g, '&lt;')
const paragraph = (text: string, style?: string) =>
  `<w:p>${style ? `<w:pPr><w:pStyle w:val="${style}"/></w:pPr>` : ''}<w:r><w:t xml:space="preserve">${escaped(text)}</w:t></w:r></w:p>`
const table = (rows: string[][]) =>
  `<w:tbl>${rows.map((row) => `<w:tr>${row.map((cell) => `<w:tc>${paragraph(cell)}</w:tc>`).join('')}</w:tr>`).join('')}</w:tbl>`

/** A Word document, with a title, a subtitle, headings and a table, as an office would send it. */
function document(...parts: string[]): Buffer {
  const names = [['Title', 'Title'], ['Subtitle', 'Subtitle'], ...[1, 2, 3].map((n) => [`Heading${n}`, `heading ${n}`])]
  const styles = names.map(([id, name]) => `<w:style w:type="paragraph" w:styleId="${id}"><w:name w:val="${name}"/></w:style>`)
  const w = 'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"'
  const base = 'application/vnd.openxmlformats-officedocument.wordprocessingml'
  const rel = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships'
  const pack = 'http://schemas.openxmlformats.org/package/2006'
  return Buffer.from(
    zipSync({
      '[Content_Types].xml': strToU8(
        `<?xml version="1.0"?><Types xmlns="${pack}/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/><Override PartName="/word/document.xml" ContentType="${base}.document.main+xml"/><Override PartName="/word/styles.xml" ContentType="${base}.styles+xml"/></Types>`,
      ),
      '_rels/.rels': strToU8(
        `<?xml version="1.0"?><Relationships xmlns="${pack}/relationships"><Relationship Id="r1" Type="${rel}/officeDocument" Target="word/document.xml"/></Relationships>`,
      ),
      'word/_rels/document.xml.rels': strToU8(
        `<?xml version="1.0"?><Relationships xmlns="${pack}/relationships"><Relationship Id="r1" Type="${rel}/styles" Target="styles.xml"/></Relationships>`,
      ),
      'word/styles.xml': strToU8(`<?xml version="1.0"?><w:styles ${w}>${styles.join('')}</w:styles>`),
      'word/document.xml': strToU8(`<?xml version="1.0"?><w:document ${w}><w:body>${parts.join('')}</w:body></w:document>`),
    }),
  )
}

/** The words of a page without its marks, as one line. */
const plain = (html: string) =>
  html
    .replace(/<(script|style)[\s\S]*?<\/\1>/g, ' ')
    .replace(/<[^>]+>/g, ' ')
    .replace(/&#x27;|&#39;/g, "'")
    .replace(/&amp;/g, '&')
    .replace(/\s+/g, ' ')

test('another trade’s document is laid out whole from the deck’s own outline, styled from a first guide, and exported', async ({
  page,
  app,
}) => {
  await page.goto(app.url)
  await page.getByRole('button', { name: 'New site' }).click()
  await page.getByLabel('Name').fill('Ferry Lane Boatyard')
  await page.getByRole('button', { name: 'Create the site' }).click()
  await page.waitForURL(/brief$/)
  await page.getByLabel('Tone').fill('Warm, dry, quiet')
  const path = page.getByRole('navigation', { name: 'Path of the work' })
  await path.getByRole('link', { name: 'Copy' }).click()
  await page.getByRole('button', { name: 'Import' }).click()
  await page.getByLabel('Text to import').fill(BOATYARD)
  const outline = page.getByRole('region', { name: 'Outline of the document' })
  await expect(outline.locator('[data-heading=section]')).toHaveCount(10)
  await page.getByRole('button', { name: 'Import', exact: true }).last().click()
  await expect(page.locator('[data-counts]')).toContainText(/6\d unplaced/)

  await path.getByRole('link', { name: 'Brief' }).click()
  await expect(page.getByRole('combobox', { name: 'Outline' })).toContainText('As the copy deck has it')
  await expect(page.locator('[data-deck-row=Fares]')).toContainText('All 18 passages')
  await page.getByRole('button', { name: 'Lay out 10 sections' }).click()

  await path.getByRole('link', { name: 'Style' }).click()
  // A site without a style is shown guides to begin with; the likeliest for its tone comes first.
  const plates = page.locator('[data-first-guide]')
  await expect(plates).toHaveCount(6)
  await expect(plates.first()).toHaveAttribute('data-first-guide', 'Reading room')
  await plates.first().getByRole('button', { name: /^Take/ }).click()
  await expect(
    page.getByRole('group', { name: 'Directions' }).getByRole('button', { name: 'current: Reading room' }),
  ).toHaveAttribute('aria-pressed', 'true')
  await saved(page)

  await path.getByRole('link', { name: 'Deliver' }).click()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export the site' }).click()
  const files = unzipSync(new Uint8Array(readFileSync(await (await download).path())))
  const html = strFromU8(files['index.html']!)
  const shown = plain(html)
  const words = BOATYARD.split('\n')
    .filter((line) => line.trim() !== '' && !/^#{1,2} |^\|[ -]+\|[ -|]+$|^\| Plan/.test(line))
    .flatMap((line) => (line.startsWith('|') ? line.split('|') : [line]))
    .map((line) =>
      line
        .replace(/^[#>*\s—-]+|\*$/g, '')
        .replace(/\[([^\]]+)\]\([^)]+\)/g, '$1')
        .trim(),
    )
    .filter((line) => line !== '')
  expect(words.length).toBeGreaterThan(50)
  for (const one of words) expect(shown, one).toContain(one)
  for (const anchor of ['boats', 'fares', 'find-us']) {
    const links = [...html.matchAll(/href="(?:index\.html)?#([\w-]+)"/g)].map((found) => found[1])
    expect(links, anchor).toContain(anchor)
    expect(html).toContain(`id="${anchor}"`)
  }
  expect(html).toContain('href="mailto:hut@ferrylane.example"')
  expect(strFromU8(files['style.css']!)).toContain('--ground')
})

test('a Word document: its title is the page, its headings are sections, its table of plans becomes plans', async ({
  page,
  app,
}) => {
  await page.goto(app.url)
  await page.getByRole('button', { name: 'New site' }).click()
  await page.getByLabel('Name').fill('Ferry Lane Boatyard')
  await page.getByRole('button', { name: 'Create the site' }).click()
  await page.waitForURL(/brief$/)
  await page.getByRole('navigation', { name: 'Path of the work' }).getByRole('link', { name: 'Copy' }).click()
  await page.getByRole('button', { name: 'Import' }).click()
  const buffer = document(
    paragraph('Ferry Lane Boatyard', 'Title'),
    paragraph('Rowing boats by the hour', 'Subtitle'),
    paragraph('Why row with us', 'Heading1'),
    paragraph('Nobody can call you', 'Heading2'),
    paragraph('There is no signal under the willows.'),
    paragraph('You cannot sink these', 'Heading2'),
    paragraph('Older than anybody who has tried.'),
    paragraph('Fares', 'Heading1'),
    table([
      ['Plan', 'Fare', 'For'],
      ['An hour', '£14', 'one boat'],
      ['A morning', '£32', 'one boat'],
      ['A day', '£58', 'one boat'],
      ['A season', '£190', 'a household'],
    ]),
    paragraph('Opening hours', 'Heading1'),
    table([
      ['Month', 'From', 'To'],
      ['May', '10:00', '18:00'],
      ['June', '9:00', '20:00'],
    ]),
  )
  await page.locator('input[type=file]').setInputFiles({ name: 'boatyard.docx', mimeType: 'application/octet-stream', buffer })
  const outline = page.getByRole('region', { name: 'Outline of the document' })
  await expect(outline.locator('[data-heading=page]')).toHaveText(/Ferry Lane Boatyard/)
  await expect(outline.locator('[data-heading=section]')).toHaveCount(3)
  await expect(outline.locator('[data-heading=entry]')).toHaveCount(2)
  // What a heading stands for can be changed before the import.
  await outline.getByRole('combobox', { name: '“Opening hours” is a' }).click()
  await page.getByRole('option', { name: 'Heading', exact: true }).click()
  await expect(outline.locator('[data-heading=section]')).toHaveCount(2)
  await outline.getByRole('combobox', { name: '“Opening hours” is a' }).click()
  await page.getByRole('option', { name: 'Section', exact: true }).click()
  await page.getByRole('button', { name: 'Import', exact: true }).last().click()

  const deck = page.locator('[data-deck] .cm-content')
  await expect(deck).toContainText('### Why row with us')
  await expect(deck).toContainText('Rowing boats by the hour')
  await expect(deck).toContainText('| £14 | one boat |')
  await expect(deck).toContainText('| Month | From | To |')
  await page.getByRole('button', { name: /^Lay out the 3 sections/ }).click()
  await expect(page.locator('[data-counts]')).toContainText(/[0-2] unplaced/)
  await expect(page.frameLocator('[data-live="1280"] iframe').getByText('A season')).toBeVisible()
  await saved(page)
})
