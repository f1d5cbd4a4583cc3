import { counted } from '#core/values/counted'
import { Link } from 'react-router'
import { CHOICES, INPUTS, offered } from '#core/blocks/field'
import { walk } from '#core/blocks/tree'
import { labelOf, shownByIn } from '#core/render/field-names'
import { findBlock } from '#core/site/tree'
import { isSame } from '#core/values/equal'
import { GROUP_ELEMENTS } from '#core/blocks/group'
import type { BlockOf } from '#core/blocks/index'
import { LabelRow } from './meaning-columns'
import { PanelRows } from './panel-rows'
import { hrefSchema } from '#core/values/href'
import { Choice } from '../../ui/choice'
import { takenBy, TakenField } from '../../ui/taken-field'
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
  one: 'One of several',
  several: 'Any of several',
  list: 'One of a list',
  consent: 'Consent',
}

/** Where a form leads once it is sent, and where its entries go. */
export function FormColumn({ block }: { block: BlockOf<'form'> }) {
  const store = useSessionStore()
  const pages = useSession((state) => state.session.site.pages)
  const page = useSession(pageOf)
  const { siteId } = store.getState()
  const parts = block.children.filter((one) => one.kind === 'group' && !one.hidden).length
  const next = block.link && 'page' in block.link ? block.link.page : null
  return (
    <div>
      <ColumnHead title="Form" note={counted([...walk(block)].filter((one) => one.kind === 'field').length, 'field')} />
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
        <TakenField
          label="Address that takes the entries"
          placeholder="https://"
          className="figure flex-1"
          value={block.sendTo ?? ''}
          onTake={takenBy(hrefSchema, (value) => edit(store, { kind: 'field', block: block.id, field: 'sendTo', value }))}
        />
      </Row>
      <Finding well={block.link !== undefined}>
        {block.link ? 'When it is sent, the page that confirms it follows.' : 'Choose the page that confirms it.'}
      </Finding>
      <label className="flex min-h-6 items-center gap-2">
        <input
          type="checkbox"
          className="accent-ink"
          checked={block.parts === true}
          onChange={(event) => edit(store, { kind: 'field', block: block.id, field: 'parts', value: event.target.checked || null })}
        />
        Filled in part by part
      </label>
      {block.parts && (
        <Finding well={parts > 1}>
          {parts > 1
            ? `${parts} parts, one for each group. What stands below the last comes with it. In the views all are seen.`
            : 'Put its fields into two groups or more: each is a part.'}
        </Finding>
      )}
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
      {CHOICES.has(block.input) && <Options block={block} />}
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
      <ShownByRow block={block} />
    </div>
  )
}

const ALWAYS = 'always'

/** Whether a field is seen at all times, or for one choice of another field of its form. */
function ShownByRow({ block }: { block: BlockOf<'field'> }) {
  const store = useSessionStore()
  const site = useSession((state) => state.session.site)
  const form = findBlock(site, block.id)?.ancestors.find((one) => one.kind === 'form')
  const fields = form ? [...walk(form)].filter((one) => one.kind === 'field' && one.id !== block.id) : []
  const choices = fields.flatMap((one) => {
    if (one.kind !== 'field') return []
    const label = labelOf(one) || one.name || 'Field'
    if (one.input === 'consent') return [{ value: `${one.sharedPart ?? one.id} yes`, label: `${label}: ticked` }]
    return CHOICES.has(one.input)
      ? offered(one, site).map((option) => ({ value: `${one.sharedPart ?? one.id} ${option}`, label: `${label}: ${option}` }))
      : []
  })
  const { shownBy } = block
  const by = shownBy && form && shownByIn(form, shownBy.field)
  const value = shownBy ? `${by?.sharedPart ?? shownBy.field} ${shownBy.is}` : ALWAYS
  const gone = shownBy !== undefined && !choices.some((one) => one.value === value)
  if (choices.length === 0 && !shownBy) return null
  const choose = (next: string) => {
    const at = next.indexOf(' ')
    const chosen = next === ALWAYS ? null : { field: next.slice(0, at), is: next.slice(at + 1) }
    edit(store, { kind: 'field', block: block.id, field: 'shownBy', value: chosen })
  }
  return (
    <>
      <Row label="Seen">
        <Choice
          className="flex-1"
          label="When the field is seen"
          placeholder="Gone"
          value={gone ? null : value}
          options={[{ value: ALWAYS, label: 'Always' }, ...choices]}
          onChange={choose}
        />
      </Row>
      {gone && (
        <Finding well={false}>
          {by
            ? 'The choice that it is shown for is no longer offered, so it is never seen.'
            : 'The field that it is shown for is gone, so it is always seen.'}{' '}
          Choose another.
        </Finding>
      )}
    </>
  )
}

/** What is offered, a line for each. */
function Options({ block }: { block: BlockOf<'field'> }) {
  const store = useSessionStore()
  const language = useSession((state) => state.session.site.language)
  const now = block.options?.[language] ?? []
  const take = (text: string) => {
    const options = [...new Set(text.split('\n').map((line) => line.trim().slice(0, 200)))]
      .filter((line) => line !== '')
      .slice(0, 60)
    if (!isSame(options, now))
      edit(store, { kind: 'field', block: block.id, field: 'options', value: { ...block.options, [language]: options } })
  }
  return (
    <>
      <textarea
        key={now.join('\n')}
        aria-label="What is offered, a line for each"
        rows={4}
        placeholder="A line for each"
        className="my-1 w-full resize-none rounded-2 border border-line-strong bg-field px-2 py-1"
        defaultValue={now.join('\n')}
        onBlur={(event) => take(event.target.value)}
      />
      {now.length < 2 && <Finding well={false}>Write two lines or more: there is nothing to choose from.</Finding>}
    </>
  )
}

const ELEMENT_NAMES: Record<(typeof GROUP_ELEMENTS)[number], string> = {
  div: 'Layout only',
  article: 'Stands by itself',
  aside: 'Beside the matter',
  figure: 'Figure with caption',
  nav: 'Navigation',
  ul: 'List of its blocks',
  ol: 'Numbered list of them',
  dl: 'Terms and meanings',
  address: 'Address',
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
      <Row label="Element">
        <Choice
          className="flex-1"
          label="Element of the group"
          value={block.element ?? 'div'}
          options={GROUP_ELEMENTS.map((value) => ({ value, label: ELEMENT_NAMES[value], note: value }))}
          onChange={(value) =>
            edit(store, { kind: 'field', block: block.id, field: 'element', value: value === 'div' ? null : value })
          }
        />
      </Row>
      <PanelRows block={block} />
      <LabelRow block={block} />
      <Finding well>Words of one entry stay together in the copy deck and when the section is re-set.</Finding>
    </div>
  )
}
