import { Bold, Highlighter, Italic, Link2, Strikethrough } from 'lucide-react'
import { Popover } from 'radix-ui'
import { useState } from 'react'
import type { WordBlock } from '#core/blocks/index'
import { hrefSchema } from '#core/values/href'
import { plainText } from '#core/values/words'
import { Button, IconButton } from '../../ui/button'
import { Choice } from '../../ui/choice'
import { useSessionStore, useSession } from '../../session/context'
import { edit } from '../../session/store'
import { openEditor } from '../open-editor'
import { ColumnHead, Finding, Row } from '../../fields/row'
import { LineField } from '../../ui/line-field'

const LEVELS = [1, 2, 3, 4, 5, 6].map((level) => ({ value: String(level), label: `Heading ${level}` }))

/** The words of the block, its marks while they are edited on the page, and the level of a heading. */
export function WordsColumn({ block }: { block: WordBlock }) {
  const store = useSessionStore()
  const language = useSession((state) => state.session.site.language)
  const editing = useSession((state) => state.words !== null)
  const text = plainText(block.words[language] ?? [])
  const marked = (block.words[language] ?? []).some((span) => typeof span !== 'string')
  const words = text.trim() === '' ? 0 : text.trim().split(/\s+/).length
  return (
    <div>
      <ColumnHead title="Words" note={`${words} ${words === 1 ? 'word' : 'words'}, ${text.length} characters`} />
      {marked ? (
        <p className="min-h-[52px] rounded-2 border border-line bg-ground px-2 py-1 text-ink-2">{text}</p>
      ) : (
        <LineField
          label="Words"
          of={`words-${block.id}`}
          value={text}
          rows={3}
          placeholder="Type here, or double-click the block on the page"
          disabled={editing}
          onWrite={(typed, gesture) => {
            const line = typed.replace(/\n/g, ' ')
            edit(store, { kind: 'words', block: block.id, words: { [language]: line === '' ? [] : [line] } }, gesture)
          }}
        />
      )}
      <Marks editing={editing} />
      {block.kind === 'heading' && (
        <Row label="Level">
          <Choice
            className="flex-1"
            label="Level of the heading"
            value={String(block.level)}
            options={LEVELS}
            onChange={(level) => edit(store, { kind: 'field', block: block.id, field: 'level', value: Number(level) })}
          />
        </Row>
      )}
      {text.trim() === '' && <Finding well={false}>This slot has no words. It is left out of the exported page.</Finding>}
      {marked && !editing && <Finding well>Words with marks are edited on the page: double-click, or press Enter.</Finding>}
    </div>
  )
}

const MARKS = [
  { label: 'Strong', name: 'bold', icon: Bold },
  { label: 'Emphasis', name: 'italic', icon: Italic },
  { label: 'Struck', name: 'strike', icon: Strikethrough },
  { label: 'Highlight', name: 'highlight', icon: Highlighter },
] as const

/** Commands to the words that are edited, which have the focus from now on: the editor's own way there takes a frame, in which letters are lost. */
function inEditor() {
  const editor = openEditor()
  editor?.view.focus()
  return editor?.chain()
}

function Marks({ editing }: { editing: boolean }) {
  return (
    <div className="mt-1 flex gap-0.5" role="group" aria-label="Marks">
      {MARKS.map(({ label, name, icon: Icon }) => (
        <IconButton
          key={name}
          label={editing ? label : `${label}: while words are edited on the page`}
          disabled={!editing}
          onMouseDown={(event) => event.preventDefault()}
          onClick={() => inEditor()?.toggleMark(name).run()}
        >
          <Icon size={14} strokeWidth={1.5} />
        </IconButton>
      ))}
      <LinkMark editing={editing} />
    </div>
  )
}

function LinkMark({ editing }: { editing: boolean }) {
  const [href, setHref] = useState('')
  const [problem, setProblem] = useState('')
  const set = () => {
    const parsed = hrefSchema.safeParse(href)
    if (href !== '' && !parsed.success) return setProblem(parsed.error.issues[0]!.message)
    const chain = inEditor()?.extendMarkRange('link')
    if (href === '') chain?.unsetMark('link').run()
    else chain?.setMark('link', { href }).run()
    setProblem('')
  }
  return (
    <Popover.Root onOpenChange={(open) => open && setHref(String(openEditor()?.getAttributes('link').href ?? ''))}>
      <Popover.Trigger asChild disabled={!editing}>
        <IconButton label={editing ? 'Link' : 'Link: while words are edited on the page'}>
          <Link2 size={14} strokeWidth={1.5} />
        </IconButton>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          sideOffset={4}
          className="z-50 w-64 rounded-2 border border-line-strong bg-field p-3 shadow-float"
        >
          <input
            aria-label="Address of the link"
            className="figure mb-2 h-[26px] w-full rounded-2 border border-line-strong px-2"
            placeholder="https://"
            value={href}
            onChange={(event) => setHref(event.target.value)}
          />
          {problem !== '' && <p className="mb-2 text-label text-rust">{problem}</p>}
          <Button onClick={set}>{href === '' ? 'Take the link away' : 'Set the link'}</Button>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
