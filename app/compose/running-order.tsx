import { closestCenter, DndContext, type DragEndEvent, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core'
import { SortableContext, sortableKeyboardCoordinates, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { Copy, Eye, EyeOff, LayoutTemplate, MoreHorizontal, Pencil, Plus, Trash2, UserRound } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import { memo, useEffect, useRef, useState } from 'react'
import { Link } from 'react-router'
import { JOBS } from '#core/blocks/section'
import type { Section } from '#core/blocks/index'
import { hasWords, walk } from '#core/blocks/tree'
import { plainText } from '#core/values/words'
import { ADDABLE } from './commands'
import { useSessionStore, useSession } from '../session/context'
import { addBlock, addSection, insertPlace } from './insert'
import { deleteSelection, duplicateSelection } from './on-selection'
import { canPlaceCopy, placeCopy } from './sharing'
import { blockName } from '#core/blocks/block-name'
import { edit, pageOf, select, selected } from '../session/store'
import { BlockTree, CopySign, Rename } from './block-tree'

type Slots = { filled: number; all: number }
const counted = new WeakMap<Section, { language: string; slots: Slots }>()

/** Slots of a section that have words, and slots in all; a section that is the same is not counted again. */
export function slotCount(section: Section, language: string): Slots {
  const known = counted.get(section)
  if (known?.language === language) return known.slots
  const all = [...walk(section)].filter(hasWords)
  const filled = all.filter((one) => plainText(one.words[language] ?? []).trim() !== '')
  const slots = { filled: filled.length, all: all.length }
  counted.set(section, { language, slots })
  return slots
}

/** The first heading of a section, or its first words. */
function leadOf(section: Section, language: string): string {
  const slots = [...walk(section)].filter(hasWords)
  const heading = slots.find((one) => one.kind === 'heading') ?? slots[0]
  return heading ? plainText(heading.words[language] ?? []) : ''
}

/** The list of sections of the page, and the blocks of the one that is selected. */
export function RunningOrder() {
  const store = useSessionStore()
  const page = useSession(pageOf)
  const language = useSession((state) => state.session.site.language)
  const place = useSession(selected)
  const open = place && (place.ancestors[0] ?? place.block).id
  const { siteId } = store.getState()
  const unplaced = useSession((state) => state.session.site.unplaced.filter((one) => one.page === pageOf(state).id).length)
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  const without = page.sections.filter((one) => {
    const { filled, all } = slotCount(one, language)
    return filled < all
  }).length

  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return
    edit(store, {
      kind: 'move',
      block: String(active.id),
      parent: page.id,
      index: page.sections.findIndex((one) => one.id === over.id),
    })
  }
  return (
    <div className="flex h-full flex-col bg-panel">
      <div className="border-b border-line px-3.5 py-2">
        <h2 className="text-[14px] font-semibold">Running order</h2>
        <p className="text-label text-ink-2">
          {page.sections.length} {page.sections.length === 1 ? 'section' : 'sections'}
          {without > 0 ? `, ${without} without all words` : ''}
        </p>
        {unplaced > 0 && (
          <Link
            className="inline-flex min-h-6 items-center text-label text-rust underline"
            to={`/sites/${siteId}/pages/${page.id}/copy`}
          >
            {unplaced} {unplaced === 1 ? 'passage' : 'passages'} unplaced
          </Link>
        )}
      </div>
      <div className="relative min-h-0 flex-1 overflow-y-auto">
        <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
          <SortableContext items={page.sections.map((one) => one.id)} strategy={verticalListSortingStrategy}>
            <ol>
              {page.sections.map((section, index) => (
                <SectionItem
                  key={section.id}
                  section={section}
                  index={index}
                  open={section.id === open}
                  language={language}
                  lead={leadOf(section, language)}
                />
              ))}
            </ol>
          </SortableContext>
        </DndContext>
        {page.sections.length === 0 && (
          <p className="p-3.5 text-ink-2">
            The page is empty. Begin with a{' '}
            <Link className="inline-flex min-h-6 items-center underline" to={`/sites/${siteId}/pages/${page.id}/brief`}>
              starting outline
            </Link>
            , or add its first section below.
          </p>
        )}
      </div>
      <div className="flex gap-1.5 border-t border-line p-2">
        <AddMenu
          label="Section"
          options={[
            { name: 'In an arrangement …', run: () => store.setState({ chooser: {} }) },
            ...JOBS.map((job) => ({ name: job.replace('-', ' '), run: () => addSection(store, job) })),
          ]}
        />
        <AddBlocks />
      </div>
    </div>
  )
}

function AddBlocks() {
  const store = useSessionStore()
  // The menu depends on the selection: only what can be put there is offered.
  useSession((state) => state.selection)
  const hasSections = useSession((state) => pageOf(state).sections.length > 0)
  const shared = useSession((state) => state.session.site.shared)
  const copies = shared
    .filter(({ id }) => canPlaceCopy(store, id))
    .map(({ id, name }) => ({ name: `Copy of ${name}`, run: () => placeCopy(store, id) }))
  const kinds = hasSections ? ADDABLE.filter((kind) => insertPlace(store.getState(), kind)) : []
  return (
    <AddMenu
      label="Block"
      disabled={!hasSections}
      options={[
        { name: 'Draw onto the columns', run: () => store.setState({ drawing: true }) },
        ...kinds.map((kind) => ({ name: kind, run: () => addBlock(store, kind) })),
        ...copies,
      ]}
    />
  )
}

/** Options that stand in one column; more stand in two, so that all are seen at once. */
const SHORT = 12

function AddMenu({
  label,
  options,
  disabled = false,
}: {
  label: string
  options: { name: string; run: () => void }[]
  disabled?: boolean
}) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        disabled={disabled}
        aria-label={`Add a ${label.toLowerCase()}`}
        className="flex h-[28px] flex-1 items-center justify-center gap-1 rounded-2 border border-line-strong bg-field hover:border-ink disabled:text-ink-2 disabled:hover:border-line-strong"
      >
        <Plus size={14} strokeWidth={1.5} /> {label}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          side="top"
          align="start"
          sideOffset={4}
          onCloseAutoFocus={(event) => event.preventDefault()}
          className={`z-50 max-h-[var(--radix-dropdown-menu-content-available-height)] min-w-40 overflow-auto rounded-2 ${options.length > SHORT ? 'columns-2 gap-1' : ''} border border-line-strong bg-field p-1 shadow-float`}
        >
          {options.map((option) => (
            <DropdownMenu.Item
              key={option.name}
              className="flex h-7 break-inside-avoid cursor-default items-center rounded-2 px-2 outline-none first-letter:uppercase data-[highlighted]:bg-ground"
              onSelect={option.run}
            >
              {option.name[0]!.toUpperCase() + option.name.slice(1)}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}

type SectionItemProps = {
  section: Section
  index: number
  open: boolean
  language: string
  lead: string
}

const SectionItem = memo(function SectionItem({ section, index, open, language, lead }: SectionItemProps) {
  const store = useSessionStore()
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: section.id,
  })
  const [renaming, setRenaming] = useState(false)
  const item = useRef<HTMLLIElement>(null)
  useEffect(() => {
    if (open) item.current?.scrollIntoView({ block: 'nearest' })
  }, [open])
  const { filled, all } = slotCount(section, language)
  return (
    <li
      ref={(node) => {
        setNodeRef(node)
        item.current = node
      }}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`group border-b border-line ${isDragging ? 'relative z-10 bg-field shadow-float' : ''}`}
    >
      <div className={`relative ${open ? 'bg-wash' : 'hover:bg-ground/60'} ${section.hidden ? 'opacity-60' : ''}`}>
        {renaming ? (
          <Rename block={section} onDone={() => setRenaming(false)} />
        ) : (
          <button
            type="button"
            {...attributes}
            {...listeners}
            aria-roledescription="section"
            className="grid w-full grid-cols-[22px_1fr_auto] gap-x-0 px-2 py-2 text-left"
            onClick={() => select(store, section.id)}
            onDoubleClick={() => setRenaming(true)}
          >
            <span className="figure text-ink-2">{String(index + 1).padStart(2, '0')}</span>
            <span className="flex min-w-0 items-center gap-1.5">
              <span className="truncate font-semibold">
                {blockName(section)}
                {section.copyOf && <CopySign />}
              </span>
              <WorkedOn section={section} />
            </span>
            <span className="figure pl-1 text-ink-2 group-hover:invisible">
              {filled}/{all}
            </span>
            {lead !== '' && <span className="col-start-2 line-clamp-2 text-label text-ink-2">{lead}</span>}
          </button>
        )}
        <span className="absolute right-1 top-1.5 opacity-0 group-focus-within:opacity-100 group-hover:opacity-100">
          <SectionMenu section={section} onRename={() => setRenaming(true)} />
        </span>
      </div>
      {open && <BlockTree section={section} />}
    </li>
  )
})

function SectionMenu({ section, onRename }: { section: Section; onRename: () => void }) {
  const store = useSessionStore()
  const on = (run: () => void) => () => {
    select(store, section.id)
    run()
  }
  const items = [
    { name: 'Rename', icon: Pencil, run: onRename },
    { name: 'Re-set', icon: LayoutTemplate, run: () => store.setState({ chooser: { section: section.id } }) },
    { name: 'Duplicate', icon: Copy, run: on(() => duplicateSelection(store)) },
    {
      name: section.hidden ? 'Show' : 'Hide',
      icon: section.hidden ? Eye : EyeOff,
      run: () =>
        void edit(store, {
          kind: 'field',
          block: section.id,
          field: 'hidden',
          value: section.hidden ? null : true,
        }),
    },
    { name: 'Delete', icon: Trash2, run: on(() => deleteSelection(store)) },
  ]
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        aria-label={`More for ${blockName(section)}`}
        className="flex h-6 w-7 items-center justify-center rounded-2 bg-field/80 hover:bg-field"
      >
        <MoreHorizontal size={16} strokeWidth={1.5} />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          sideOffset={2}
          className="z-50 min-w-36 rounded-2 border border-line-strong bg-field p-1 shadow-float"
        >
          {items.map(({ name, icon: Icon, run }) => (
            <DropdownMenu.Item
              key={name}
              className="flex h-7 cursor-default items-center gap-2 rounded-2 px-2 outline-none data-[highlighted]:bg-ground"
              onSelect={run}
            >
              <Icon size={14} strokeWidth={1.5} /> {name}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}

/** A mark on a section that somebody else works in. */
function WorkedOn({ section }: { section: Section }) {
  const others = useSession((state) => state.others)
  if (others.length === 0) return null
  const inside = new Set([...walk(section)].map((one) => one.id))
  if (!others.some(({ block }) => block !== null && inside.has(block))) return null
  return (
    <UserRound
      role="img"
      aria-label="Somebody else works here"
      aria-hidden={false}
      size={13}
      strokeWidth={2}
      className="shrink-0 text-reed"
    />
  )
}
