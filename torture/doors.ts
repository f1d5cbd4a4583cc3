import { strToU8, zipSync } from 'fflate'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import sharp from 'sharp'
import type { Chooser } from '#core/edits/edit'
import { EDIT_KINDS, sampleEdit } from '#core/edits/index'
import { pictureFile } from '#core/formats/holdings'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { mutateBytes, mutateJson, mutateText } from './mutate'

/** A request that is made of a server. */
export type Hostile = { door: string; path: string; init: RequestInit }

/** Valid examples, which are made hostile. */
export type Examples = {
  id: string
  site: Site
  siteZip: Uint8Array
  pictures: Uint8Array[]
  svg: string
  font: Uint8Array
  docx: Uint8Array
  markdown: string
}

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

/** Gathers the examples from a running server and from the files that ship with the application. */
export async function examplesOf(url: string, id: string): Promise<Examples> {
  const get = async (path: string) => new Uint8Array(await (await fetch(`${url}/sites/${id}/${path}`)).arrayBuffer())
  const site = JSON.parse(new TextDecoder().decode(await get('as/site-json'))) as Site
  const photo = new Uint8Array(readFileSync(join('demo', 'pictures', pictureFile(site.pictures[0]!))))
  const small = sharp(photo).resize(64)
  return {
    id,
    site,
    siteZip: await get('as/site-zip'),
    pictures: [
      new Uint8Array(await small.clone().jpeg().toBuffer()),
      new Uint8Array(await small.clone().png().toBuffer()),
      new Uint8Array(await small.clone().webp().toBuffer()),
    ],
    svg: '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 20"><g fill="#345"><path d="M0 0h40v20z"/><text x="2" y="9">Yes</text></g></svg>',
    font: new Uint8Array(readFileSync('node_modules/@fontsource-variable/karla/files/karla-latin-wght-normal.woff2')),
    docx: docxOf(3),
    markdown:
      '# Landing page\n\n## Opening\n\n# Look up\n\nBring a *coat* and [a friend](https://a.example).\n\n| Plan | Price |\n| --- | --- |\n| Night | 12 |\n',
  }
}

const file = (field: string, name: string, bytes: BlobPart, more: Record<string, string> = {}): RequestInit => {
  const form = new FormData()
  for (const [key, value] of Object.entries(more)) form.set(key, value)
  form.set(field, new File([bytes], name))
  return { method: 'POST', body: form }
}
const json = (value: unknown): RequestInit => ({
  method: 'POST',
  headers: { 'Content-Type': 'application/json' },
  body: JSON.stringify(value),
})

const FOLDERS = [
  '',
  'sites',
  'visit',
  'pictures',
  'fonts',
  'library',
  'icons',
  'as',
  'edits',
  'pages',
  'company',
  'raw',
  '%2e%2e',
  '..;',
  '__proto__',
  '%00',
  '%ff',
]

/** Ways in, and how each is made hostile. */
const DOORS: Record<string, (given: Examples, choose: Chooser) => Omit<Hostile, 'door'>> = {
  'site file': ({ site }, choose) => ({
    path: '/?index',
    init: file('file', 'a.site.json', JSON.stringify(mutateJson(site, choose, choose.one([0.0005, 0.003, 0.05]))), {
      intent: 'import',
    }),
  }),
  'site file, as text': ({ site }, choose) => ({
    path: '/?index',
    init: file(
      'file',
      'a.site.json',
      choose.one([
        mutateText(JSON.stringify(site), choose),
        '['.repeat(100_000),
        `{"format":"yarrowfinch-site","version":2,"guide":${'{"a":'.repeat(5000)}`,
      ]),
      { intent: 'import' },
    ),
  }),
  zip: ({ siteZip }, choose) => ({
    path: '/?index',
    init: file(
      'file',
      'a.site.zip',
      (choose.number(4) === 0
        ? zipSync({ 'site.json': new Uint8Array(30 * 1024 * 1024) })
        : mutateBytes(siteZip, choose)) as BlobPart,
      { intent: 'import' },
    ),
  }),
  picture: ({ id, pictures }, choose) => ({
    path: `/sites/${id}/pictures`,
    init: file('picture', choose.one(['a.jpg', 'a.svg', '../../a', '']), mutateBytes(choose.one(pictures), choose) as BlobPart),
  }),
  svg: ({ id, svg }, choose) => ({
    path: `/sites/${id}/pictures`,
    init: file(
      'picture',
      'a.svg',
      choose.one([
        mutateText(svg, choose),
        `<svg viewBox="0 0 1e300 9">${'<g>'.repeat(20_000)}`,
        `<svg viewBox="0 0 9 9">${'<g fill="red">'.repeat(300)}`,
      ]),
    ),
  }),
  'linked file': ({ id, docx }, choose) => ({
    path: `/sites/${id}/files`,
    init: file(
      'file',
      choose.one(['a.pdf', 'a.zip', 'con.pdf', '../a.csv', 'a.html', '.ics', 'a.txt']),
      choose.one([mutateText('%PDF-1.7 tides', choose), mutateBytes(docx, choose) as BlobPart, 'BEGIN:VCALENDAR', '']),
    ),
  }),
  drawing: ({ svg }, choose) => {
    const [path, field] = choose.one([
      ['/shapes/own', 'shape'],
      ['/icons/own', 'icon'],
    ] as const)
    const text = choose.one([
      mutateText(svg, choose),
      `<svg viewBox="0 0 9 9"><g transform="${choose.one(['a', '(', 'scale(9)', ',', '1e308 '].map((one) => one.repeat(choose.number(60_000))))}"><path d="M0 0h9"/></g></svg>`,
      `<svg viewBox="0 0 9 9"><path d="M0 0${choose.one(['L1 1', 'h9', 'a', '1e9 ', 'A1 1 0 0 1 2 2']).repeat(choose.number(300_000))}"/></svg>`,
      `<svg viewBox="0 0 9 9">${choose.one(['<path d="M0 0"/>', '<g>', '<rect width="1e308" height="9"/>']).repeat(choose.number(30_000))}</svg>`,
    ])
    return { path, init: file(field, choose.one(['a.svg', '', '../a']), text) }
  },
  hyphens: (_, choose) => ({
    path: '/hyphens',
    init: json(
      mutateJson(
        { language: choose.one(['en', 'xx', '__proto__']), words: ['observatory', 'a'.repeat(choose.number(4000))] },
        choose,
        choose.one([0, 0.2]),
      ),
    ),
  }),
  export: ({ id, site }, choose) => ({
    path: `/sites/${id}/${choose.one(['as/web', 'as/site-zip', 'as/__proto__', 'export/pictures', 'export/weights'])}`,
    init: json(
      mutateJson({ formats: ['webp'], sprite: true, measured: { [site.pages[0]!.id]: {} } }, choose, choose.one([0, 0.1, 0.4])),
    ),
  }),
  inbox: ({ id, site }, choose) => {
    const form = new FormData()
    form.set(choose.one(['entry', 'entry', 'other']), choose.one(['gone', '__proto__', 'x'.repeat(4000)]))
    return { path: `/sites/${id}/pages/${site.pages[0]!.id}/inbox`, init: { method: 'POST', body: form } }
  },
  font: ({ id, font }, choose) => ({
    path: `/sites/${id}/fonts`,
    init: file('font', 'a.woff2', mutateBytes(font, choose) as BlobPart),
  }),
  docx: ({ docx }, choose) => ({ path: '/sites/x/copy-file', init: file('file', 'a.docx', mutateBytes(docx, choose) as BlobPart) }),
  markdown: ({ markdown }, choose) => ({
    path: '/sites/x/copy-file',
    init: file('file', choose.one(['a.md', 'a.docx', 'a.txt']), mutateText(markdown, choose)),
  }),
  edits: ({ id, site }, choose) => ({
    path: `/sites/${id}/edits`,
    init: json({
      base: choose.number(9) === 0 ? choose.number(5) : -1,
      edits: Array.from({ length: 1 + choose.number(3) }, () => ({
        key: `t${choose.id()}`,
        edit: mutateJson(sampleEdit(choose.one(EDIT_KINDS), site, choose), choose, choose.one([0, 0.05, 0.2])),
      })),
    }),
  }),
  'request in JSON': ({ id }, choose) => ({
    path: choose.one([`/sites/${id}/edits`, `/sites/${id}/library`, `/sites/${id}/company`]),
    init: {
      method: 'POST',
      headers: {
        'Content-Type': choose.one(['application/json', 'text/plain', 'application/json; charset=x', 'multipart/form-data']),
      },
      body: choose.one([
        '',
        'null',
        '[]',
        '{"base":0}',
        '['.repeat(200_000),
        '{"a":'.repeat(4000),
        '\u0000',
        JSON.stringify(mutateJson({ base: 0, edits: [], tab: 't', place: { page: 'p', block: null }, name: 'x' }, choose, 0.3)),
      ]),
    },
  }),
  spelling: (_, choose) => ({
    path: '/spelling',
    init: json(
      mutateJson(
        {
          language: choose.one(['en', 'es', 'nl', 'xx', '__proto__']),
          words: Array.from({ length: choose.number(60) }, () => 'xqzvkj'.repeat(1 + choose.number(10)).slice(0, 60)),
          own: ['Hollin'],
        },
        choose,
        choose.one([0, 0.1]),
      ),
    ),
  }),
  form: ({ id, site }, choose) => {
    const forms = site.pages.flatMap((page) =>
      [...walkPage(page)].filter((block) => block.kind === 'form').map((block) => block.id),
    )
    return {
      path: `/visit/${id}/forms/${choose.one([...forms, 'gone', '__proto__'])}`,
      init: {
        method: 'POST',
        headers: { 'Content-Type': choose.one(['application/x-www-form-urlencoded', 'text/plain', 'multipart/form-data']) },
        body: choose.one([
          '',
          '=&=&',
          `mail-address=${'a'.repeat(70_000)}`,
          mutateText('mail-address=ada%40hollinridge.example&x=y', choose),
        ]),
      },
    }
  },
  'home screen': ({ id }, choose) => {
    const form = new FormData()
    form.set('intent', choose.one(['new', 'rename', 'duplicate', 'restore', 'return', 'import', '__proto__', 'toString', '']))
    form.set('site', choose.one([id, 'gone', '__proto__', '']))
    form.set('name', choose.one(['', 'x'.repeat(5000), '</title><script>alert(1)</script>', '\u0000', 'A name']))
    return { path: '/?index', init: { method: 'POST', body: form } }
  },
  address: ({ id, site }, choose) => {
    const parts = Array.from({ length: 1 + choose.number(6) }, () =>
      choose.one([...FOLDERS, id, site.pages[0]!.id, 'index.html', 'a'.repeat(3000)]),
    )
    const query = choose.one([
      '',
      '?w=99999',
      '?since=-1',
      '?since=1e9',
      '?width=1e9&density=9',
      '?direction=__proto__',
      '?part=NaN',
      '?q=%ff',
      '?style=__proto__',
    ])
    return {
      path: `/${parts.join('/')}${query}`,
      init: { method: choose.one(['GET', 'GET', 'GET', 'HEAD', 'DELETE', 'PUT', 'OPTIONS']) },
    }
  },
}

export const DOOR_NAMES = Object.keys(DOORS)

/** A hostile request through one of the doors. */
export const hostileAt = (door: string, examples: Examples, choose: Chooser): Hostile => ({
  door,
  ...DOORS[door]!(examples, choose),
})
