import { useState } from 'react'
import type { BlockOf } from '#core/blocks/index'
import { hrefSchema } from '#core/values/href'
import type { Link } from '#core/values/link'
import { Finding, Row } from '../../fields/row'
import { useSession, useSessionStore } from '../../session/context'
import { blockName, edit } from '../../session/store'
import { Choice } from '../../ui/choice'

const ADDRESS = 'address'
const NOWHERE = 'nowhere'

function valueOf(link: Link | undefined): string {
  if (!link) return NOWHERE
  return 'href' in link ? ADDRESS : link.section === undefined ? link.page : `${link.page}#${link.section}`
}

/** Where a block leads: nowhere, a page, a section or an address. */
export function LinkRows({ block }: { block: BlockOf<'button' | 'link' | 'picture'> }) {
  const store = useSessionStore()
  const pages = useSession((state) => state.session.site.pages)
  const [problem, setProblem] = useState('')
  const value = valueOf(block.link)
  const set = (link: Link | null) => edit(store, { kind: 'field', block: block.id, field: 'link', value: link })
  const options = [
    { value: NOWHERE, label: 'Nowhere' },
    { value: ADDRESS, label: 'An address' },
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
    else {
      const [page, section] = next.split('#')
      set(section === undefined ? { page: page! } : { page: page!, section })
    }
  }
  const take = (href: string) => {
    const parsed = hrefSchema.safeParse(href)
    setProblem(parsed.success ? '' : parsed.error.issues[0]!.message)
    if (parsed.success) set({ href })
  }
  const gone = block.link && 'page' in block.link && !options.some((one) => one.value === value)
  return (
    <>
      <Row label="Leads to">
        <Choice className="flex-1" label="Leads to" value={value} options={options} onChange={choose} />
      </Row>
      {block.link && 'href' in block.link && (
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
      {problem !== '' && <Finding well={false}>{problem}</Finding>}
      {gone && <Finding well={false}>It leads to a page or section that was deleted. Choose another.</Finding>}
      {!block.link && block.kind !== 'picture' && (
        <Finding well={false}>It leads nowhere. Choose a page, a section or an address.</Finding>
      )}
    </>
  )
}
