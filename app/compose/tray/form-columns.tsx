import { Link } from 'react-router'
import { INPUTS } from '#core/blocks/field'
import type { BlockOf } from '#core/blocks/index'
import { hrefSchema } from '#core/values/href'
import { Choice } from '../../ui/choice'
import { useSessionStore, useSession } from '../../session/context'
import { edit, pageOf } from '../../session/store'
import { ColumnHead, Finding, Row } from '../../fields/row'

const INPUT_NAMES: Record<(typeof INPUTS)[number], string> = {
  text: 'Text',
  email: 'Mail address',
  tel: 'Telephone',
  number: 'Number',
  date: 'Date',
  area: 'Several lines',
}

/** Where a form leads once it is sent, and where its entries go. */
export function FormColumn({ block }: { block: BlockOf<'form'> }) {
  const store = useSessionStore()
  const pages = useSession((state) => state.session.site.pages)
  const page = useSession(pageOf)
  const { siteId } = store.getState()
  const next = block.link && 'page' in block.link ? block.link.page : null
  return (
    <div>
      <ColumnHead title="Form" note={`${block.children.filter((one) => one.kind === 'field').length} fields`} />
      <Row label="Then">
        <Choice
          className="flex-1"
          label="Page that follows the form"
          placeholder="A page that confirms"
          value={pages.some((one) => one.id === next) ? next : null}
          options={pages.map((one) => ({ value: one.id, label: one.name }))}
          onChange={(id) => edit(store, { kind: 'field', block: block.id, field: 'link', value: { page: id } })}
        />
      </Row>
      <Row label="Send to">
        <input
          key={block.sendTo ?? ''}
          aria-label="Address that takes the entries"
          placeholder="https://"
          className="figure h-[26px] min-w-0 flex-1 rounded-2 border border-line-strong bg-field px-2"
          defaultValue={block.sendTo ?? ''}
          onBlur={(event) => {
            const value = event.target.value.trim()
            if (value === (block.sendTo ?? '')) return
            if (value === '') edit(store, { kind: 'field', block: block.id, field: 'sendTo', value: null })
            else if (hrefSchema.safeParse(value).success) edit(store, { kind: 'field', block: block.id, field: 'sendTo', value })
            else event.target.value = block.sendTo ?? ''
          }}
        />
      </Row>
      <Finding well={block.link !== undefined}>
        {block.link ? 'When it is sent, the page that confirms it follows.' : 'Choose the page that confirms it.'}
      </Finding>
      <p className="mt-1 text-label text-ink-2">
        Entries of played pages arrive in the{' '}
        <Link className="inline-flex min-h-6 items-center underline" to={`/sites/${siteId}/pages/${page.id}/inbox`}>
          local form inbox
        </Link>
        .
      </p>
    </div>
  )
}

/** What a field takes, and whether it must be filled in. */
export function FieldColumn({ block }: { block: BlockOf<'field'> }) {
  const store = useSessionStore()
  return (
    <div>
      <ColumnHead title="Field" note={INPUT_NAMES[block.input]} />
      <Row label="Takes">
        <Choice
          className="flex-1"
          label="What the field takes"
          value={block.input}
          options={INPUTS.map((value) => ({ value, label: INPUT_NAMES[value] }))}
          onChange={(input) => edit(store, { kind: 'field', block: block.id, field: 'input', value: input })}
        />
      </Row>
      <Row label="Wanted">
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="accent-ink"
            checked={block.required}
            onChange={(event) => edit(store, { kind: 'field', block: block.id, field: 'required', value: event.target.checked })}
          />
          Must be filled in
        </label>
      </Row>
    </div>
  )
}

/** Whether a group is one of its section's entries, whose words belong together when the section is re-set. */
export function EntryColumn({ block }: { block: BlockOf<'group'> }) {
  const store = useSessionStore()
  const { cards } = useSession((state) => state.session.site.guide.looks)
  return (
    <div>
      <ColumnHead title="Entry" note={block.entry ? 'one of the section’s entries' : 'layout only'} />
      <Row label="Is">
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="accent-ink"
            checked={block.entry ?? false}
            onChange={(event) =>
              edit(store, { kind: 'field', block: block.id, field: 'entry', value: event.target.checked || null })
            }
          />
          A card, plan, question …
        </label>
      </Row>
      <Row label="Look">
        <Choice
          className="flex-1"
          label="Look of the group"
          value={block.look ?? 'none'}
          options={[
            { value: 'none', label: 'None' },
            ...cards.map(({ name }) => ({ value: name, label: `Card, ${name}` })),
            { value: 'table', label: 'Table, a line under each row' },
          ]}
          onChange={(value) =>
            edit(store, { kind: 'field', block: block.id, field: 'look', value: value === 'none' ? null : value })
          }
        />
      </Row>
      <Finding well>Words of one entry stay together in the copy deck and when the section is re-set.</Finding>
    </div>
  )
}
