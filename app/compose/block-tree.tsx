import { EyeOff, Lock } from 'lucide-react'
import { memo, useState } from 'react'
import type { Block, Section } from '#core/blocks/index'
import { isContainer } from '#core/blocks/tree'
import { useSession, useSessionStore } from '../session/context'
import { blockName } from '#core/blocks/block-name'
import { firstWords } from '#core/blocks/name-with-words'
import { editWords } from './on-selection'
import { edit, select, toggleSelected } from '../session/store'
import { type TreeDrop, useTreeDrag } from './tree-drag'
import { spanText } from './tray/figures'

/** The blocks of a section, each inside what holds it: to select, drag and rename. */
export function BlockTree({ section }: { section: Section }) {
  const { drop, onPointerDown } = useTreeDrag()
  return (
    <ul className="bg-field py-1.5" onPointerDown={onPointerDown}>
      {section.children.map((child) => (
        <BlockItem key={child.id} block={child} depth={0} drop={drop} />
      ))}
      {section.children.length === 0 && <li className="px-[34px] py-1 text-label text-ink-2">No blocks yet</li>}
    </ul>
  )
}

/** The first words of a block, or of what it holds, for those that have no name of their own. */
export const wordsOf = (block: Block, language: string): string => (block.name === undefined ? firstWords(block, language, 40) : '')

const LINES = { before: 'shadow-[inset_0_2px_#EDB700]', after: 'shadow-[inset_0_-2px_#EDB700]', into: 'bg-wash' }

const BlockItem = memo(function BlockItem({ block, depth, drop }: { block: Block; depth: number; drop: TreeDrop | null }) {
  const store = useSessionStore()
  const chosen = useSession((state) => block.id === state.selection || state.also.includes(block.id))
  const span = useSession((state) => spanText(state, block))
  const language = useSession((state) => state.session.site.language)
  const [renaming, setRenaming] = useState(false)
  const words = wordsOf(block, language)
  const line = drop?.at === block.id ? LINES[drop.where] : ''
  return (
    <li>
      {renaming ? (
        <Rename block={block} suggestion={words} onDone={() => setRenaming(false)} />
      ) : (
        <button
          type="button"
          data-row={block.id}
          aria-current={chosen}
          title={words === '' ? undefined : `${blockName(block)}: ${words}`}
          className={`flex w-full items-baseline justify-between gap-1 border-l-[3px] py-[3px] pr-3 text-left ${line} ${chosen ? 'border-ink bg-ground font-semibold' : 'border-transparent text-ink-2 hover:bg-ground/60'} ${block.hidden ? 'opacity-60' : ''}`}
          style={{ paddingLeft: 31 + depth * 12 }}
          onClick={(event) => (event.shiftKey || event.ctrlKey || event.metaKey ? toggleSelected : select)(store, block.id)}
          onDoubleClick={() => setRenaming(true)}
          onKeyDown={(event) => {
            if (event.key === 'F2') setRenaming(true)
            if (event.key !== 'Enter' || event.shiftKey || event.ctrlKey || event.metaKey) return
            event.preventDefault()
            select(store, block.id)
            editWords(store)
          }}
        >
          <span className="min-w-0 truncate">
            {blockName(block)}
            {block.copyOf && <CopySign />}
            {words !== '' && <span className="font-normal text-ink-2"> {words}</span>}
          </span>
          {block.locked && <Lock size={11} role="img" aria-label="locked" className="shrink-0 self-center" />}
          {block.hidden ? <EyeOff size={12} aria-label="hidden" /> : <span className="figure shrink-0 text-ink-2">{span}</span>}
        </button>
      )}
      {isContainer(block) && block.children.length > 0 && (
        <ul>
          {block.children.map((child) => (
            <BlockItem key={child.id} block={child} depth={depth + 1} drop={drop} />
          ))}
        </ul>
      )}
    </li>
  )
})

/** A block's name, to type; what it has no name for is offered from its words. An empty one takes the name away. */
export function Rename({ block, suggestion = '', onDone }: { block: Block; suggestion?: string; onDone: () => void }) {
  const store = useSessionStore()
  const offered = suggestion === '' ? blockName(block) : suggestion
  const take = (name: string) => {
    onDone()
    const trimmed = name.trim().slice(0, 80)
    if (trimmed !== (block.name ?? ''))
      edit(store, { kind: 'field', block: block.id, field: 'name', value: trimmed === '' ? null : trimmed })
  }
  return (
    <input
      autoFocus
      aria-label={`Name of the ${block.kind}`}
      className="mx-2 my-2 w-[calc(100%-16px)] rounded-2 border border-ink bg-field px-2 py-1"
      defaultValue={offered}
      onFocus={(event) => event.target.select()}
      // What was only offered is not taken by leaving.
      onBlur={(event) => (event.target.value === offered ? onDone() : take(event.target.value))}
      onKeyDown={(event) => {
        event.stopPropagation()
        if (event.key === 'Enter') take(event.currentTarget.value)
        else if (event.key === 'Escape') onDone()
      }}
    />
  )
}

/** The sign of a copy of a shared block: a double line around it. */
export const CopySign = () => (
  <svg role="img" aria-label="shared" width="11" height="9" className="ml-1.5 inline-block" fill="none" stroke="currentColor">
    <rect x="0.5" y="0.5" width="10" height="8" />
    <rect x="2.5" y="2.5" width="6" height="4" />
  </svg>
)
