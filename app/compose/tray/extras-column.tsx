import { useEffect, useState } from 'react'
import type { Icon } from '#core/blocks/icon-nodes'
import type { BlockOf, Block } from '#core/site/schema'
import { NumberField } from '../../ui/number-field'
import { useCompose, useComposeState } from '../context'
import { edit } from '../store'
import { listedPages } from '#core/render/page'
import { EntryColumn, FieldColumn, FormColumn } from './form-columns'
import { ColumnHead, Finding, Row } from './row'

/** Settings that one kind of block alone has: the icon, the order of a list, the name of a nav. */
export function ExtrasColumn({ block }: { block: Block }) {
  if (block.kind === 'icon') return <IconColumn block={block} />
  if (block.kind === 'list') return <ListColumn block={block} />
  if (block.kind === 'form') return <FormColumn block={block} />
  if (block.kind === 'field') return <FieldColumn block={block} />
  if (block.kind === 'group') return <EntryColumn block={block} />
  return block.kind === 'nav' ? <NavColumn block={block} /> : null
}

export const EXTRAS: Partial<Record<Block['kind'], string>> = {
  icon: 'Icon',
  list: 'List',
  nav: 'Navigation',
  form: 'Form',
  field: 'Field',
  group: 'Entry',
}

const SEGMENT =
  'h-[26px] flex-1 rounded-2 border border-line-strong bg-field aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-on-ink'

function IconColumn({ block }: { block: BlockOf<'icon'> }) {
  const store = useCompose()
  const [query, setQuery] = useState('')
  const [icons, setIcons] = useState<Icon[]>([])
  useEffect(() => {
    const request = new AbortController()
    fetch(`/icons?q=${encodeURIComponent(query)}`, { signal: request.signal })
      .then((response) => response.json() as Promise<Icon[]>)
      .then(setIcons)
      .catch(() => undefined)
    return () => request.abort()
  }, [query])
  return (
    <div>
      <ColumnHead title="Icon" note={block.icon.name} />
      <Row label="Size">
        <NumberField
          className="flex-1"
          label="Size of the icon"
          unit="px"
          value={block.size}
          least={8}
          most={200}
          onChange={(size) => edit(store, { kind: 'field', block: block.id, field: 'size', value: size })}
        />
      </Row>
      <input
        aria-label="Find an icon"
        placeholder="Find: moon, ticket, coat …"
        className="my-1 h-[26px] w-full rounded-2 border border-line-strong bg-field px-2"
        value={query}
        onChange={(event) => setQuery(event.target.value)}
      />
      <div className="grid max-h-24 grid-cols-9 gap-0.5 overflow-y-auto">
        {icons.map((icon) => (
          <button
            key={icon.name}
            type="button"
            aria-label={icon.name}
            title={icon.name}
            aria-pressed={icon.name === block.icon.name}
            className="flex h-6 items-center justify-center rounded-2 hover:bg-line aria-pressed:bg-ink aria-pressed:text-on-ink"
            onClick={() => edit(store, { kind: 'field', block: block.id, field: 'icon', value: icon as never })}
          >
            <svg
              aria-hidden
              width="16"
              height="16"
              viewBox="0 0 24 24"
              fill="none"
              stroke="currentColor"
              strokeWidth="1.5"
              strokeLinecap="round"
              strokeLinejoin="round"
            >
              {icon.nodes.map(([Tag, shape], i) => (
                <Tag key={i} {...shape} />
              ))}
            </svg>
          </button>
        ))}
      </div>
      {icons.length === 0 && query !== '' && <p className="text-label text-ink-2">No icon has that word.</p>}
    </div>
  )
}

function ListColumn({ block }: { block: BlockOf<'list'> }) {
  const store = useCompose()
  return (
    <div>
      <ColumnHead title="List" note={`${block.children.length} items`} />
      <Row label="Kind">
        {[false, true].map((ordered) => (
          <button
            key={String(ordered)}
            type="button"
            aria-pressed={block.ordered === ordered}
            className={SEGMENT}
            onClick={() => edit(store, { kind: 'field', block: block.id, field: 'ordered', value: ordered })}
          >
            {ordered ? 'Numbered' : 'Bulleted'}
          </button>
        ))}
      </Row>
      <Finding well>Enter in an item makes the next one.</Finding>
    </div>
  )
}

function NavColumn({ block }: { block: BlockOf<'nav'> }) {
  const store = useCompose()
  const language = useComposeState((state) => state.session.site.language)
  const label = block.label[language] ?? ''
  const listed = useComposeState((state) => listedPages(state.session.site).length)
  return (
    <div>
      <ColumnHead title="Navigation" note={block.follows ? `${listed} pages` : `${block.children.length} links`} />
      <Row label="Links">
        {[false, true].map((follows) => (
          <button
            key={String(follows)}
            type="button"
            aria-pressed={Boolean(block.follows) === follows}
            className={SEGMENT}
            onClick={() => edit(store, { kind: 'field', block: block.id, field: 'follows', value: follows || null })}
          >
            {follows ? 'The pages' : 'Its own'}
          </button>
        ))}
      </Row>
      <Row label="Read as">
        <input
          aria-label="Name of the navigation"
          placeholder="Main"
          className="h-[26px] min-w-0 flex-1 rounded-2 border border-line-strong bg-field px-2"
          value={label}
          onChange={(event) =>
            edit(
              store,
              {
                kind: 'field',
                block: block.id,
                field: 'label',
                value: { ...block.label, [language]: event.target.value },
              },
              `label-${block.id}`,
            )
          }
        />
      </Row>
      <Finding well={label !== ''}>
        {label === '' ? 'Give it a name, for those who hear the page.' : 'The name is read aloud before the links.'}
      </Finding>
    </div>
  )
}
