import { counted } from '#core/values/counted'
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
import { Choice } from '../../ui/choice'
import { Segments } from './segments'

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

function ListColumn({ block }: { block: BlockOf<'list'> }) {
  const store = useSessionStore()
  return (
    <div>
      <ColumnHead title="List" note={counted(block.children.length, 'item')} />
      <Row label="Kind">
        <Segments
          label="Kind of list"
          value={block.ordered ? 'ordered' : 'plain'}
          options={[
            { value: 'plain', label: 'Bulleted' },
            { value: 'ordered', label: 'Numbered' },
          ]}
          onChange={(value) => edit(store, { kind: 'field', block: block.id, field: 'ordered', value: value === 'ordered' })}
        />
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
      <ColumnHead title="Navigation" note={block.follows ? counted(listed, 'page') : counted(block.children.length, 'link')} />
      <Row label="Links">
        <Segments
          label="Links of the navigation"
          value={block.follows ? 'pages' : 'own'}
          options={[
            { value: 'own', label: 'Its own' },
            { value: 'pages', label: 'The pages' },
          ]}
          onChange={(value) => edit(store, { kind: 'field', block: block.id, field: 'follows', value: value === 'pages' || null })}
        />
      </Row>
      <FoldRows block={block} />
      <LabelRow block={block} name="Name of the navigation" placeholder="Main" />
      <Finding well={label !== ''}>
        {label === '' ? 'Give it a name, for those who hear the page.' : 'The name is read aloud before the links.'}
      </Finding>
    </div>
  )
}

/** Below which breakpoint the links are folded away behind a button, and how they come out. */
function FoldRows({ block }: { block: BlockOf<'nav'> }) {
  const store = useSessionStore()
  const breakpoints = useSession((state) => state.session.site.breakpoints)
  const set = (folds: BlockOf<'nav'>['folds'] | null) =>
    edit(store, { kind: 'field', block: block.id, field: 'folds', value: folds ?? null })
  const { folds } = block
  const narrower = breakpoints.filter((one) => one.below !== null)
  const gone = folds && !narrower.some((one) => one.id === folds.below)
  return (
    <>
      <Row label="Folds">
        <Choice
          className="flex-1"
          label="Where the links fold away"
          value={gone ? null : (folds?.below ?? 'never')}
          placeholder="Nowhere"
          options={[
            { value: 'never', label: 'Never' },
            ...narrower.map((one) => ({ value: one.id, label: `Below ${one.below} px` })),
          ]}
          onChange={(below) => set(below === 'never' ? null : { below, as: folds?.as ?? 'drop' })}
        />
      </Row>
      {folds && (
        <Row label="Comes out">
          <Segments
            label="How the links come out"
            value={folds.as}
            options={[
              { value: 'drop', label: 'Drops down' },
              { value: 'cover', label: 'Over the page' },
            ]}
            onChange={(as) => set({ ...folds, as })}
          />
        </Row>
      )}
      {gone && <Finding well={false}>Its breakpoint was deleted, so it folds nowhere. Choose another.</Finding>}
    </>
  )
}
