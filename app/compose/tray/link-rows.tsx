import { useRef, useState } from 'react'
import type { Block, BlockOf } from '#core/blocks/index'
import { isOpened, showsOne } from '#core/blocks/panel'
import { findBlock, walkPage } from '#core/site/tree'
import type { LinkedFile } from '#core/site/linked-file'
import { hrefSchema } from '#core/values/href'
import { weightInWords } from '#core/values/weight'
import { sendFile } from '../../session/send-file'
import { FileInput } from '../../ui/file-input'
import type { Link } from '#core/values/link'
import { type Press, pressed } from '#core/values/press'
import { pressedIn } from '#core/render/panels'
import { Finding, Row } from '../../fields/row'
import { useSession, useSessionStore } from '../../session/context'
import { blockName } from '#core/blocks/block-name'
import { groupName } from '#core/blocks/name-with-words'
import { editAll, pageOf } from '../../session/store'
import { Choice } from '../../ui/choice'

const ADDRESS = 'address'
const NEW_FILE = 'new file'
const NOWHERE = 'nowhere'
const NO_FILES: readonly LinkedFile[] = []
/** What an address begins with that has an entry of its own in the list. */
const SCHEMES = { mail: 'mailto:', telephone: 'tel:', top: '#top' } as const
const schemeOf = (href: string) => (Object.keys(SCHEMES) as (keyof typeof SCHEMES)[]).find((name) => href.startsWith(SCHEMES[name]))

function valueOf(link: Link | undefined, press: Press | undefined): string {
  if (!link) return press ? pressValue(press) : NOWHERE
  if ('file' in link) return `file ${link.file}`
  if ('href' in link && schemeOf(link.href)) return schemeOf(link.href)!
  return 'href' in link ? ADDRESS : link.section === undefined ? link.page : `${link.page}#${link.section}`
}

const pressValue = (press: Press): string =>
  'closes' in press ? 'closes' : 'opens' in press ? `opens ${press.opens}` : `shows ${press.shows}`

/** What a press does now; in a copy of a shared block it is about that copy's own blocks. */
function usePress(block: Block): Press | undefined {
  const site = useSession((state) => state.session.site)
  const press = block.kind === 'button' ? block.press : undefined
  const id = press && pressed(press)
  if (!press || id === undefined) return press
  const own = pressedIn(id, findBlock(site, block.id)?.ancestors ?? [])
  return 'opens' in press ? { opens: own } : { shows: own }
}

/** What a button can open and show on its page, and close, by what it stands in. */
function usePresses(block: Block): { value: string; label: string }[] {
  const page = useSession(pageOf)
  const site = useSession((state) => state.session.site)
  if (block.kind !== 'button') return []
  const ancestors: readonly Block[] = findBlock(site, block.id)?.ancestors ?? []
  const found: { value: string; label: string }[] = []
  for (const one of walkPage(page)) {
    if (isOpened(one) && !ancestors.includes(one))
      found.push({ value: `opens ${one.id}`, label: `Opens: ${groupName(one, site.language)}` })
    if (showsOne(one) && 'children' in one)
      for (const child of one.children)
        found.push({ value: `shows ${child.id}`, label: `Shows: ${groupName(child, site.language)}` })
  }
  if (ancestors.some(isOpened)) found.push({ value: 'closes', label: 'Closes the panel it stands in' })
  return found
}

/** Where a block leads: nowhere, a page, a section or an address; and what a button does instead. */
export function LinkRows({ block }: { block: BlockOf<'button' | 'link' | 'picture'> }) {
  const store = useSessionStore()
  const pages = useSession((state) => state.session.site.pages)
  const files = useSession((state) => state.session.site.files) ?? NO_FILES
  const input = useRef<HTMLInputElement>(null)
  const [problem, setProblem] = useState('')
  const press = usePress(block)
  const value = valueOf(block.link, press)
  const presses = usePresses(block)
  const { id } = block
  const set = (link: Link | null) =>
    editAll(store, 'where it leads', [
      { kind: 'field', block: id, field: 'link', value: link },
      ...(press ? [{ kind: 'field' as const, block: id, field: 'press' as const, value: null }] : []),
    ])
  const does = (next: Press) =>
    editAll(store, 'what a press does', [
      ...(block.link ? [{ kind: 'field' as const, block: id, field: 'link' as const, value: null }] : []),
      { kind: 'field', block: id, field: 'press', value: next },
    ])
  const options = [
    { value: NOWHERE, label: 'Nowhere' },
    { value: ADDRESS, label: 'An address' },
    { value: 'mail', label: 'A mail address' },
    { value: 'telephone', label: 'A telephone number' },
    { value: 'top', label: 'The top of the page' },
    { value: NEW_FILE, label: 'A file, to upload' },
    ...files.map((one) => ({ value: `file ${one.id}`, label: one.name, note: weightInWords(one.bytes) })),
    ...presses,
    ...pages.flatMap((page) => [
      { value: page.id, label: page.name, note: `/${page.address}` },
      ...page.sections.map((section) => ({
        value: `${page.id}#${section.id}`,
        label: `${page.name}: ${blockName(section)}`,
      })),
    ]),
  ]
  const choose = (next: string) => {
    if (next === NOWHERE) set(null)
    else if (next === ADDRESS) set({ href: 'https://' })
    else if (next in SCHEMES) set({ href: SCHEMES[next as keyof typeof SCHEMES] })
    else if (next === NEW_FILE) input.current?.click()
    else if (next.startsWith('file ')) set({ file: next.slice(5) })
    else if (next === 'closes') does({ closes: true })
    else if (next.startsWith('opens ')) does({ opens: next.slice(6) })
    else if (next.startsWith('shows ')) does({ shows: next.slice(6) })
    else {
      const [page, section] = next.split('#')
      set(section === undefined ? { page: page! } : { page: page!, section })
    }
  }
  const upload = async (file: File | undefined) => {
    const sent = file && (await sendFile(store.getState().siteId, file))
    if (!sent) return
    if ('problem' in sent) return setProblem(sent.problem)
    setProblem('')
    editAll(store, `file ${sent.name}`, [
      { kind: 'list', list: 'files', drop: [], put: [{ item: sent }] },
      { kind: 'field', block: id, field: 'link', value: { file: sent.id } },
      ...(press ? [{ kind: 'field' as const, block: id, field: 'press' as const, value: null }] : []),
    ])
  }
  const take = (href: string) => {
    const parsed = hrefSchema.safeParse(href)
    setProblem(parsed.success ? '' : parsed.error.issues[0]!.message)
    if (parsed.success) set({ href })
  }
  const gone = ((block.link && !('href' in block.link)) || press) && !options.some((one) => one.value === value)
  return (
    <>
      <Row label="Leads to">
        <Choice className="flex-1" label="Leads to" value={value} options={options} onChange={choose} />
      </Row>
      {block.link && 'href' in block.link && value !== 'top' && (
        <Row label="Address">
          <input
            key={block.link.href}
            aria-label="Address"
            className="figure h-[26px] min-w-0 flex-1 rounded-2 border border-line-strong bg-field px-2"
            defaultValue={block.link.href}
            onBlur={(event) => take(event.target.value)}
            onKeyDown={(event) => event.key === 'Enter' && take(event.currentTarget.value)}
          />
        </Row>
      )}
      <FileInput
        ref={input}
        label="Upload a file that it leads to"
        takes={['linked file']}
        onTake={([file]) => void upload(file)}
      />
      {problem !== '' && <Finding well={false}>{problem}</Finding>}
      {gone && (
        <Finding well={false}>
          {press
            ? 'It opens or shows a block that was deleted.'
            : block.link && 'file' in block.link
              ? 'It leads to a file that was deleted.'
              : 'It leads to a page or section that was deleted.'}{' '}
          Choose another.
        </Finding>
      )}
      {!block.link && !press && block.kind !== 'picture' && (
        <Finding well={false}>It leads nowhere. Choose a page, a section, an address or a file.</Finding>
      )}
    </>
  )
}
