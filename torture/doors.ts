import { zipSync } from 'fflate'
import { ACCEPTED, type FileKind } from '#core/formats/accepted'
import type { Chooser } from '#core/edits/edit'
import { EDIT_KINDS, sampleEdit } from '#core/edits/index'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import routes from '../app/routes'
import { hostileFile, SVG, type ValidFiles, validFiles } from './files'
import { mutateJson, mutateText } from './mutate'

/** A request that is made of a server. */
export type Hostile = { door: string; path: string; init: RequestInit }

/** Valid examples, which are made hostile. */
export type Examples = { id: string; site: Site; files: ValidFiles }

/** Gathers the examples from a running server and from the files that ship with the application. */
export async function examplesOf(url: string, id: string): Promise<Examples> {
  const get = async (path: string) => new Uint8Array(await (await fetch(`${url}/sites/${id}/${path}`)).arrayBuffer())
  const site = JSON.parse(new TextDecoder().decode(await get('as/site-json'))) as Site
  return { id, site, files: await validFiles(site, await get('as/site-zip')) }
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

/** Where files of each kind are sent, by the name of their field; what is read in the browser alone is not sent. */
const SENT: Record<FileKind, ((id: string) => { path: string; field: string; more?: Record<string, string> }) | null> = {
  'site file': () => ({ path: '/?index', field: 'file', more: { intent: 'import' } }),
  picture: (id) => ({ path: `/sites/${id}/pictures`, field: 'picture' }),
  film: (id) => ({ path: `/sites/${id}/pictures`, field: 'picture' }),
  captions: null,
  drawing: () => ({ path: '/shapes/own', field: 'shape' }),
  icon: () => ({ path: '/icons/own', field: 'icon' }),
  'linked file': (id) => ({ path: `/sites/${id}/files`, field: 'file' }),
  font: (id) => ({ path: `/sites/${id}/fonts`, field: 'font' }),
  copy: () => ({ path: '/sites/x/copy-file', field: 'file' }),
  guide: null,
  'board picture': (id) => ({ path: `/sites/${id}/pictures`, field: 'picture' }),
}

type Door = (given: Examples, choose: Chooser) => Omit<Hostile, 'door'>

/** A door for each type of file that is sent. */
const FILE_DOORS = Object.fromEntries(
  Object.entries(SENT).flatMap(([kind, sent]) =>
    sent === null
      ? []
      : ACCEPTED[kind as FileKind].map((type): [string, Door] => [
          `${kind} ${type}`,
          ({ id, files }, choose) => {
            const { path, field, more } = sent(id)
            const { name, bytes } = hostileFile((files[kind as FileKind] as Record<string, Uint8Array>)[type]!, type, choose)
            return { path, init: file(field, name, bytes, more) }
          },
        ]),
  ),
)

/** The addresses that the application has, with the names of what stands in them. */
const ADDRESSES = routes.map(({ path = '' }) => path)
/** What stands in an address in the place of an id, or as a part of its own. */
const PARTS = ['', 'gone', '__proto__', '%00', '%ff', '..;', '%2e%2e', 'a'.repeat(3000)]
/** What is asked for in addresses, by the names that are read of them. */
const QUERIES = {
  since: ['-1', '1e9', 'NaN'],
  w: ['99999', '-1', '320'],
  turn: ['90', '1e9'],
  opacity: ['50', '-5', 'x'],
  width: ['1e9', '375', '0'],
  density: ['9', '2'],
  direction: ['__proto__', 'gone'],
  part: ['body', 'NaN'],
  words: ['(', 'a'.repeat(3000), '%'],
  style: ['__proto__', 'minified'],
  engine: ['__proto__', 'script'],
  watched: [''],
  accessed: [''],
  scriptless: [''],
  inside: [''],
  tab: ['__proto__', '\u0000'],
  q: ['\uffff', 'sun', '('],
}
export const QUERY_NAMES = Object.keys(QUERIES)

/** A zip of little that unpacks to more than a document may weigh; made once. */
let bomb: Uint8Array | undefined

/** Ways in, and how each is made hostile. */
const DOORS: Record<string, Door> = {
  ...FILE_DOORS,
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
  'zip that unpacks to too much': () => ({
    path: '/?index',
    init: file('file', 'a.site.zip', (bomb ??= zipSync({ 'site.json': new Uint8Array(30 * 1024 * 1024) })) as BlobPart, {
      intent: 'import',
    }),
  }),
  'drawing that is deep or wide': ({ id }, choose) => ({
    path: `/sites/${id}/pictures`,
    init: file(
      'picture',
      'a.svg',
      choose.one([`<svg viewBox="0 0 1e300 9">${'<g>'.repeat(20_000)}`, `<svg viewBox="0 0 9 9">${'<g fill="red">'.repeat(300)}`]),
    ),
  }),
  'drawing of much': (_, choose) => {
    const [path, field] = choose.one([
      ['/shapes/own', 'shape'],
      ['/icons/own', 'icon'],
    ] as const)
    const text = choose.one([
      mutateText(SVG, choose),
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
    const real = { siteId: id, pageId: site.pages[0]!.id, hash: site.pictures[0]?.hash ?? '', format: 'css', '*': 'index.html' }
    const pattern = choose.one(ADDRESSES)
    const path = pattern.replaceAll(/:(\w+)|\*/g, (whole, name?: string) =>
      choose.number(3) === 0 ? choose.one(PARTS) : ((real as Record<string, string>)[name ?? whole] ?? choose.one(PARTS)),
    )
    const query = new URLSearchParams()
    for (let n = choose.number(4); n > 0; n--) {
      const name = choose.one(QUERY_NAMES) as keyof typeof QUERIES
      query.set(name, choose.one([...QUERIES[name], '', 'x'.repeat(2000)]))
    }
    return {
      path: `/${path}?${query}`,
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
