import { readFileSync } from 'node:fs'
import { expect, test } from 'vitest'
import { MAX_CAPTIONS } from '#core/blocks/video'
import { MAX_DOCUMENT } from '#core/formats/site-json'
import { MAX_UNPACKED } from '#core/formats/site-zip'
import { MAX_SVG } from '#core/formats/svg'
import { MAX_PICTURE } from '#core/picture/picture'
import { MAX_FILE, MOST_FILES } from '#core/site/linked-file'
import { MAX_FONT } from '#core/type/own-font'
import { limitInWords } from '#core/values/weight'
import { MAX_JSON, MAX_NESTING, readForm, TooLargeError } from './body'
import { MAX_COPY } from './copy-file'
import { readOwnFont } from './fonts'
import { MAX_ENTRIES, MAX_ENTRY, MOST_IN_A_MINUTE } from './inbox'
import { MAX_PIXELS } from './pictures'
import { MAX_UNPACKED as MAX_TEXT } from './threads/docx'

const words = (bytes: number) => limitInWords(bytes)

test('the page on security says the limits that there are', () => {
  const rows = [...readFileSync('docs/security.md', 'utf8').matchAll(/^\| (.+?) \| (.+?) \|$/gm)]
    .map(([, what, most]): [string, string] => [what!, most!])
    .filter(([what]) => what !== 'what')
  expect(Object.fromEntries(rows)).toEqual({
    'a site document, also inside a zip': words(MAX_DOCUMENT),
    'a site file': `${words(MAX_UNPACKED)}, and as much unpacked`,
    'a picture; an SVG picture': `${words(MAX_PICTURE)} and ${MAX_PIXELS / 1e6} megapixels; ${words(MAX_SVG)}`,
    'a font': words(MAX_FONT),
    'a file that links lead to; those of a site': `${words(MAX_FILE)}; ${MOST_FILES}`,
    'captions of a film in one language': `${MAX_CAPTIONS.toLocaleString('en-GB')} characters`,
    'a Word document': `${words(MAX_COPY.docx)}, its text ${words(MAX_TEXT)} unpacked`,
    'a request with edits': `${words(MAX_JSON)}, nested ${MAX_NESTING} deep`,
    'an entry of a form; entries of a site; entries of a visitor': `${words(MAX_ENTRY)}; ${MAX_ENTRIES.toLocaleString('en-GB')}, the oldest leaving first; ${MOST_IN_A_MINUTE} in a minute`,
  })
})

test('what weighs more than it may is refused before it is read', async () => {
  await expect(readOwnFont(new Uint8Array(MAX_FONT + 1), 'a.ttf')).rejects.toThrow(/A font may weigh 8 MB at most/)
  for (const most of [MAX_UNPACKED, MAX_PICTURE, MAX_FONT, MAX_FILE, MAX_COPY.docx, MAX_SVG]) {
    const request = new Request('http://127.0.0.1/', {
      method: 'POST',
      headers: { 'Content-Type': 'multipart/form-data; boundary=a', 'Content-Length': String(most * 2 + 10_000_000) },
      body: '--a--',
    })
    await expect(readForm(request, most, 'The file')).rejects.toThrow(TooLargeError)
  }
})
