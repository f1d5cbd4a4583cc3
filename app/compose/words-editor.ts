import { Editor, type JSONContent, Node } from '@tiptap/core'
import Bold from '@tiptap/extension-bold'
import HardBreak from '@tiptap/extension-hard-break'
import Highlight from '@tiptap/extension-highlight'
import Italic from '@tiptap/extension-italic'
import LinkMark from '@tiptap/extension-link'
import Strike from '@tiptap/extension-strike'
import Text from '@tiptap/extension-text'
import { UndoRedo } from '@tiptap/extensions'
import { nextBlock } from '#core/blocks/defaults'
import { positionOf } from '#core/edits/places'
import { findBlock } from '#core/site/tree'
import { hasWords } from '#core/blocks/tree'
import { hrefSchema } from '#core/values/href'
import type { Mark, Span } from '#core/values/words'
import { fromMarked, type MarkedText, type MarkValue, toMarked } from '#core/values/words-marks'
import type { WordBlock } from '#core/blocks/index'
import type { StageView } from '../live/frames'
import { openEditor, setOpenEditor } from './open-editor'
import { EDITED } from '../live/patch'
import { type SessionStore, edit, makeId, select, type WordsEditing } from '../session/store'

/** A document of words alone: each block is one line of them. */
const Line = Node.create({ name: 'doc', topNode: true, content: 'inline*' })

const MARK_NAMES: Record<Mark, string> = {
  strong: 'bold',
  emphasis: 'italic',
  struck: 'strike',
  highlight: 'highlight',
}
const KINDS = Object.fromEntries(Object.entries(MARK_NAMES).map(([kind, name]) => [name, kind])) as Record<string, Mark>

/** Words as the editor's document. */
export function toEditor(spans: readonly Span[]): JSONContent {
  return {
    type: 'doc',
    content: toMarked(spans).map((part) => {
      const marks = part.marks.map((mark) =>
        mark.kind === 'link' ? { type: 'link', attrs: { href: mark.href } } : { type: MARK_NAMES[mark.kind] },
      )
      return 'break' in part ? { type: 'hardBreak', marks } : { type: 'text', text: part.text, marks }
    }),
  }
}

/** The editor's document as words. A link to an address that is not allowed is dropped, its text stays. */
export function fromEditor(document: JSONContent): Span[] {
  const parts = (document.content ?? []).map((node): MarkedText => {
    const marks = (node.marks ?? []).flatMap((mark): MarkValue[] => {
      if (mark.type !== 'link') return KINDS[mark.type] ? [{ kind: KINDS[mark.type]! }] : []
      const href = hrefSchema.safeParse(mark.attrs?.href)
      return href.success ? [{ kind: 'link', href: href.data }] : []
    })
    return node.type === 'hardBreak' ? { break: true, marks } : { text: node.text ?? '', marks }
  })
  return fromMarked(parts)
}

/** Enter: the words after the caret go into a new block below, which is edited next. */
function split(store: SessionStore, editor: Editor, block: string, view: number): void {
  const { session } = store.getState()
  const place = findBlock(session.site, block)
  if (!place || !hasWords(place.block)) return
  const { from, to } = editor.state.selection
  const head = fromEditor(editor.state.doc.cut(0, from).toJSON() as JSONContent)
  const tail = fromEditor(editor.state.doc.cut(to).toJSON() as JSONContent)
  const { language } = session.site
  const next = {
    ...nextBlock(place.block, makeId),
    words: tail.length > 0 ? { [language]: tail } : {},
  } as ReturnType<typeof nextBlock>
  const { parent, index } = positionOf(session.site, place)
  edit(store, {
    kind: 'batch',
    label: 'new line',
    edits: [
      { kind: 'words', block, words: { [language]: head } },
      { kind: 'insert', parent, index: index + 1, blocks: [next] },
    ],
  })
  select(store, next.id)
  store.setState({ words: { block: next.id, view, caret: 'start' } })
}

/** Focuses at once, so that no key is lost between the press that opened the words and the next one. */
function placeCaret(editor: Editor, caret: WordsEditing['caret']): void {
  editor.view.focus()
  const end = editor.state.doc.content.size
  const at = typeof caret === 'object' ? (editor.view.posAtCoords(caret)?.pos ?? end) : caret === 'start' ? 0 : end
  editor.commands.setTextSelection(at)
}

/**
 * Opens the words of a block for editing in place, in a view.
 * @param typed what was typed before the editor stood
 * @returns what closes it again
 */
export function mountEditor(
  store: SessionStore,
  view: StageView,
  block: WordBlock,
  element: HTMLElement,
  typed: string,
): () => void {
  const { language } = store.getState().session.site
  const gesture = makeId()
  element.setAttribute(EDITED, '')
  element.replaceChildren()
  const editor = new Editor({
    element: { mount: element },
    extensions: [
      Line,
      Text,
      Bold,
      Italic,
      Strike,
      Highlight,
      HardBreak,
      LinkMark.configure({ openOnClick: false, autolink: false, protocols: ['tel', 'mailto'] }),
      UndoRedo,
    ],
    content: toEditor(block.words[language] ?? []),
    injectCSS: false,
    editorProps: {
      attributes: { 'aria-label': 'Words', role: 'textbox' },
      handleKeyDown(_, event) {
        if (event.key === 'Escape') store.setState({ words: null })
        else if (event.key === 'Enter' && !event.shiftKey) split(store, editor, block.id, view.index)
        // In a button the key would press it.
        else if (event.key === ' ' && element.tagName === 'BUTTON') editor.view.dispatch(editor.state.tr.insertText(' '))
        else return false
        return true
      },
    },
    onUpdate: () => edit(store, { kind: 'words', block: block.id, words: { [language]: fromEditor(editor.getJSON()) } }, gesture),
  })
  setOpenEditor(editor)
  const onLeave = (event: Event) => {
    const target = event.target as HTMLElement
    if (element.contains(target)) return
    // The press that leaves the words selects what it falls on.
    select(store, target.closest<HTMLElement>('[data-block]')?.dataset.block ?? null)
  }
  view.frame.document.addEventListener('pointerdown', onLeave)
  const { words: opened } = store.getState()
  placeCaret(editor, opened?.caret)
  const before = (opened?.typed ?? '') + typed
  if (before !== '') editor.commands.insertContent(before)
  if (opened?.typed) store.setState({ words: { ...opened, typed: undefined } })
  return () => {
    view.frame.document.removeEventListener('pointerdown', onLeave)
    if (openEditor() === editor) setOpenEditor(null)
    editor.destroy()
    element.removeAttribute(EDITED)
    for (const name of ['contenteditable', 'role', 'aria-label', 'tabindex', 'translate']) element.removeAttribute(name)
    element.classList.remove('ProseMirror', 'ProseMirror-focused', 'tiptap')
    view.frame.restore(block.id)
    // Keys are the screen's again, and not lost in the frame.
    document.querySelector<HTMLElement>('[data-stage]')?.focus({ preventScroll: true })
  }
}
