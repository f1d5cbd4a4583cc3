import { timeSchema } from '#core/blocks/text'
import { HEADS } from '#core/blocks/table'
import type { BlockOf } from '#core/blocks/index'
import { rowsOfWords } from '#core/values/table-words'
import { ColumnHead, Finding, Row } from '../../fields/row'
import { useSession, useSessionStore } from '../../session/context'
import { edit } from '../../session/store'
import { Choice } from '../../ui/choice'
import { takenBy, TakenField } from '../../ui/taken-field'
import { LineField } from '../../ui/line-field'
import { LinesRows } from './lines-rows'

/** What a block is called by those who hear the page. */
export function LabelRow({
  block,
  name = 'Name for those who hear the page',
  placeholder = 'No name',
}: {
  block: BlockOf<'section' | 'group' | 'nav' | 'slideshow' | 'video'>
  name?: string
  placeholder?: string
}) {
  const store = useSessionStore()
  const language = useSession((state) => state.session.site.language)
  const set = (text: string, gesture: string) => {
    const { [language]: _, ...others } = block.label ?? {}
    const label = text === '' ? others : { ...others, [language]: text }
    // A nav always has the field; it may hold no names.
    const value = Object.keys(label).length === 0 && block.kind !== 'nav' ? null : label
    edit(store, { kind: 'field', block: block.id, field: 'label', value }, gesture)
  }
  return (
    <Row label="Read as">
      <LineField
        label={name}
        of={`label-${block.id}`}
        placeholder={placeholder}
        most={120}
        value={block.label?.[language] ?? ''}
        onWrite={set}
      />
    </Row>
  )
}

/** The job of a section, and its name for those who hear the page. */
export function SectionColumn({ block }: { block: BlockOf<'section'> }) {
  const named = Object.values(block.label ?? {}).some((one) => one !== '')
  return (
    <div>
      <ColumnHead title="Section" note={block.job.replace('-', ' ')} />
      <LabelRow block={block} />
      <LinesRows block={block} />
      <Finding well>
        {named ? 'A section with a name is a landmark: it can be jumped to.' : 'Without a name it is found by its heading.'}
      </Finding>
    </div>
  )
}

/** Whether a text is the caption of its figure, and the time that it names. */
export function TextColumn({ block }: { block: BlockOf<'text'> }) {
  const store = useSessionStore()
  return (
    <div>
      <ColumnHead title="Meaning" note={block.caption ? 'caption' : (block.part ?? 'paragraph')} />
      <Row label="Is">
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="accent-ink"
            checked={block.caption ?? false}
            onChange={(event) =>
              edit(store, { kind: 'field', block: block.id, field: 'caption', value: event.target.checked || null })
            }
          />
          Caption of its figure
        </label>
      </Row>
      <Row label="Time">
        <TakenField
          label="Time that the words name"
          placeholder="2026-10-02T20:00"
          className="figure flex-1"
          value={block.time ?? ''}
          onTake={takenBy(timeSchema, (value) => edit(store, { kind: 'field', block: block.id, field: 'time', value }))}
        />
      </Row>
      <Finding well>The words stay as they are; machines read the time.</Finding>
    </div>
  )
}

const HEAD_NAMES: Record<(typeof HEADS)[number], string> = {
  row: 'The first row',
  column: 'The first column',
  both: 'First row and column',
  none: 'No cells',
}

/** Which cells of a table head the others, and its caption. Its cells are words: a line for each row, a bar between cells. */
export function TableColumn({ block }: { block: BlockOf<'table'> }) {
  const store = useSessionStore()
  const language = useSession((state) => state.session.site.language)
  const rows = rowsOfWords(block.words[language] ?? [])
  return (
    <div>
      <ColumnHead title="Table" note={`${rows.length} × ${rows[0]!.length}`} />
      <Row label="Head">
        <Choice
          className="flex-1"
          label="Cells that head the others"
          value={block.head}
          options={HEADS.map((value) => ({ value, label: HEAD_NAMES[value] }))}
          onChange={(head) => edit(store, { kind: 'field', block: block.id, field: 'head', value: head })}
        />
      </Row>
      <Row label="Caption">
        <LineField
          label="Caption of the table"
          of={`caption-${block.id}`}
          placeholder="None"
          most={300}
          value={block.caption?.[language] ?? ''}
          onWrite={(text, gesture) =>
            edit(
              store,
              { kind: 'field', block: block.id, field: 'caption', value: { ...block.caption, [language]: text } as never },
              gesture,
            )
          }
        />
      </Row>
      <Finding well>A line for each row, “ | ” between its cells. Columns of figures line up at their end.</Finding>
    </div>
  )
}
