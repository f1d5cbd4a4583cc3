import type { ComponentType } from 'react'
import type { Block, BlockKind, BlockOf } from '#core/blocks/index'
import { useSessionStore, useSession } from '../../session/context'
import { edit } from '../../session/store'
import { listedPages } from '#core/render/page'
import { EntryColumn, FieldColumn, FormColumn } from './form-columns'
import { LabelRow, SectionColumn, TableColumn, TextColumn } from './meaning-columns'
import { IconColumn } from './icon-column'
import { ShapeColumn } from './shape-column'
import { DeviceColumn, SlideshowColumn, VideoColumn } from './show-columns'
import { ColumnHead, Finding, Row } from '../../fields/row'

type Extras = { [K in BlockKind]?: { name: string; Column: ComponentType<{ block: BlockOf<K> }> } }

/** Settings that one kind of block alone has: the icon, the order of a list, the name of a nav. */
const EXTRAS: Extras = {
  icon: { name: 'Icon', Column: IconColumn },
  list: { name: 'List', Column: ListColumn },
  nav: { name: 'Navigation', Column: NavColumn },
  form: { name: 'Form', Column: FormColumn },
  field: { name: 'Field', Column: FieldColumn },
  group: { name: 'Entry', Column: EntryColumn },
  section: { name: 'Section', Column: SectionColumn },
  text: { name: 'Meaning', Column: TextColumn },
  table: { name: 'Table', Column: TableColumn },
  slideshow: { name: 'Slideshow', Column: SlideshowColumn },
  video: { name: 'Video', Column: VideoColumn },
  device: { name: 'Device', Column: DeviceColumn },
  shape: { name: 'Shape', Column: ShapeColumn },
}

/** What the column of a kind's own settings is called, if it has any. */
export const extrasName = (kind: BlockKind): string | undefined => EXTRAS[kind]?.name

export function ExtrasColumn({ block }: { block: Block }) {
  const Column = EXTRAS[block.kind]?.Column as ComponentType<{ block: Block }> | undefined
  return Column ? <Column block={block} /> : null
}

const SEGMENT =
  'h-[26px] flex-1 rounded-2 border border-line-strong bg-field aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-on-ink'

function ListColumn({ block }: { block: BlockOf<'list'> }) {
  const store = useSessionStore()
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
  const store = useSessionStore()
  const language = useSession((state) => state.session.site.language)
  const label = block.label[language] ?? ''
  const listed = useSession((state) => listedPages(state.session.site).length)
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
      <LabelRow block={block} name="Name of the navigation" placeholder="Main" />
      <Finding well={label !== ''}>
        {label === '' ? 'Give it a name, for those who hear the page.' : 'The name is read aloud before the links.'}
      </Finding>
    </div>
  )
}
