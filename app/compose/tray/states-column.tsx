import { useState } from 'react'
import type { Link } from '#core/values/link'
import type { BlockOf } from '#core/blocks/index'
import { hrefSchema } from '#core/values/href'
import { Choice } from '../../ui/choice'
import { NumberField } from '../../ui/number-field'
import { useSessionStore, useSession } from '../../session/context'
import { blockName, edit } from '../../session/store'
import { MIXED } from './fields'
import { useField } from '../../fields/use-field'
import { ColumnHead, Finding, Row } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'

/** Where the block leads, and what changes on hover and focus. */
export function StatesColumn({ style }: { style: StyleAccess }) {
  const store = useSessionStore()
  const scope = useSession((state) => state.scope)
  const buttons = useSession((state) => state.session.site.guide.buttons)
  const { block } = style.place
  const leads = block.kind === 'button' || block.kind === 'link' || block.kind === 'picture'
  const hovering = scope === 'hover'
  const count = Object.keys(block.style.hover ?? {}).length
  const one = style.places.length === 1
  const buttonsOnly = style.places.every((place) => place.block.kind === 'button')
  const look = useField(style.places, 'look', (each) => each.kind === 'button')
  return (
    <div>
      <ColumnHead
        title={leads && one ? 'States and links' : 'States'}
        note={!one ? `${style.places.length} blocks` : count === 0 ? 'as at rest' : `${count} on hover`}
      />
      {leads && one && <LinkRows block={block} />}
      {buttonsOnly && (
        <Row label="Kind">
          <Choice
            className="flex-1"
            label="Kind of button"
            placeholder={MIXED}
            value={(look.value as string | undefined) ?? null}
            options={buttons.map((one) => ({ value: one.name, label: one.name }))}
            onChange={look.set}
          />
        </Row>
      )}
      <Row label="State">
        <span className="flex flex-1" role="group" aria-label="State to edit">
          {[false, true].map((hover) => (
            <button
              key={String(hover)}
              type="button"
              aria-pressed={hovering === hover}
              className="h-[26px] flex-1 border border-line-strong bg-field first:rounded-l-2 last:rounded-r-2 aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-on-ink"
              onClick={() => store.setState({ scope: hover ? 'hover' : 'base' })}
            >
              {hover ? 'Hover' : 'At rest'}
            </button>
          ))}
        </span>
      </Row>
      {style.has('underline') && (
        <Row label="Underline" style={style} names={['underline']}>
          <Choice
            className="flex-1"
            label="Underline"
            placeholder={style.isMixed('underline') ? MIXED : 'As usual'}
            value={style.get('underline') === undefined ? null : style.get('underline') ? 'yes' : 'no'}
            options={[
              { value: 'yes', label: 'Underlined' },
              { value: 'no', label: 'None' },
            ]}
            onChange={(value) => style.set({ underline: value === 'yes' })}
          />
        </Row>
      )}
      {style.has('lift') && (
        <Row label="Lift" style={style} names={['lift']}>
          <NumberField
            className="flex-1"
            label="Lift"
            unit="px up"
            placeholder={style.isMixed('lift') ? MIXED : '0'}
            value={style.get('lift') ?? null}
            least={-20}
            most={20}
            onClear={() => style.set({ lift: null })}
            onChange={(lift) => style.set({ lift })}
          />
        </Row>
      )}
      {hovering && (
        <Finding well>Ink, fill, edge colour, shadow and opacity now set the hover state, and keyboard focus with it.</Finding>
      )}
    </div>
  )
}

const ADDRESS = 'address'
const NOWHERE = 'nowhere'

function valueOf(link: Link | undefined): string {
  if (!link) return NOWHERE
  return 'href' in link ? ADDRESS : link.section === undefined ? link.page : `${link.page}#${link.section}`
}

function LinkRows({ block }: { block: BlockOf<'button' | 'link' | 'picture'> }) {
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
