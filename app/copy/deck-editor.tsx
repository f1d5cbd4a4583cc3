import { defaultKeymap } from '@codemirror/commands'
import { markdown } from '@codemirror/lang-markdown'
import { HighlightStyle, syntaxHighlighting } from '@codemirror/language'
import { EditorState, Transaction } from '@codemirror/state'
import { drawSelection, EditorView, keymap, placeholder } from '@codemirror/view'
import { tags } from '@lezer/highlight'
import { useEffect, useLayoutEffect, useRef, useState } from 'react'
import { toast } from 'sonner'
import { deckOf } from '#core/deck/deck'
import { deckLinks } from '#core/deck/links'
import { MAX_DECK } from '#core/deck/parse'
import { passageMarkdown } from '#core/deck/print'
import { freshMemory } from '#core/reconcile/sense'
import type { Site } from '#core/site/schema'
import { useSessionStore } from '../session/context'
import { pageOf, redo, undo } from '../session/store'
import type { PointedPassage } from './copy'
import { applyDeck, changesBetween, deckText, outlineOf, readText, sameDeck } from './deck-sync'
import { deckMarkers } from './deck-markers'
import { DeckOutline } from './deck-outline'

/** Time that a heading of a page or section may take to be typed, ms. */
const OUTLINE_RESTS = 700
/** Time after which the passage at the caret is looked for, ms. */
const LOOK_RESTS = 120
/** Typing that rests for longer than this begins another step of undo, ms. */
const GESTURE_RESTS = 1200

const look = HighlightStyle.define([
  { tag: tags.heading1, fontWeight: '700', fontSize: '17px' },
  { tag: tags.heading2, fontWeight: '650', fontSize: '14px' },
  { tag: [tags.heading3, tags.heading4], fontWeight: '600' },
  { tag: tags.strong, fontWeight: '650' },
  { tag: tags.emphasis, fontStyle: 'italic' },
  { tag: [tags.processingInstruction, tags.contentSeparator, tags.url], color: 'var(--color-muted)' },
  { tag: tags.link, color: 'var(--color-reed)' },
  { tag: tags.quote, color: 'var(--color-ink-2)' },
])

const theme = EditorView.theme({
  '&': { height: '100%', fontSize: '13.5px' },
  '&.cm-focused': { outline: 'none' },
  '.cm-scroller': { fontFamily: 'var(--font-sans)', lineHeight: '1.55' },
  '.cm-content': { padding: '14px 18px 60px', caretColor: 'var(--color-ink)' },
  '.cm-cursor': { borderLeftColor: 'var(--color-ink)' },
  '.cm-selectionBackground': { background: 'var(--color-wash) !important' },
})

// oxlint-disable-next-line no-control-regex -- these are the characters that text does not have
const BINARY = /[\u0000-\u0008\u000e-\u001f]/

/** Keeps out what is no text, or more than a deck may hold, and says so. */
const guard = EditorState.transactionFilter.of((transaction) => {
  if (!transaction.docChanged || !transaction.isUserEvent('input')) return transaction
  let binary = false
  transaction.changes.iterChanges((_a, _b, _c, _d, inserted) => (binary ||= BINARY.test(inserted.toString())))
  if (binary) toast.error('What was pasted is binary data, not text. Nothing was changed.')
  else if (transaction.newDoc.length > MAX_DECK)
    toast.error(
      `A copy deck holds ${MAX_DECK.toLocaleString('en-GB')} characters at most; this would make ${transaction.newDoc.length.toLocaleString('en-GB')}. Nothing was changed.`,
    )
  else return transaction
  return []
})

/** True where a page or section has a heading without a name. */
const hasUnnamed = (text: string) => /^#{1,2}[ \t]*$/m.test(text)

/** The passage at a place of the text: the words around the caret, up to blank lines, and who holds them. */
function passageAt(site: Site, language: string, text: string, at: number): PointedPassage | null {
  const links = deckLinks(site)
  const before = text.slice(0, at).split('\n')
  const after = text.slice(at).split('\n')
  const line = (before.at(-1) ?? '') + (after[0] ?? '')
  if (line.trim() === '') return null
  const keys = (one: string) =>
    readText(site, `# P\n\n## S\n\n${one}`).pages[0]?.sections[0]?.passages.map((passage) =>
      passageMarkdown({ ...passage, entry: 0 }, links),
    ) ?? []
  const [wanted] = keys(line)
  if (wanted === undefined) return null
  for (const page of deckOf(site, language).pages) {
    for (const passage of page.sections.flatMap((section) => section.passages)) {
      if (passageMarkdown({ ...passage, entry: 0 }, links) !== wanted) continue
      return 'block' in passage ? { block: passage.block, text: '' } : { unplaced: passage.unplaced, text: '' }
    }
  }
  return null
}

type DeckEditorProps = { language: string; pointed: PointedPassage | null; onPoint: (pointed: PointedPassage | null) => void }

/** The copy deck as Markdown. What is typed goes to the page at once; what changes there comes back. */
export function DeckEditor({ language, pointed, onPoint }: DeckEditorProps) {
  const store = useSessionStore()
  const host = useRef<HTMLDivElement>(null)
  const editor = useRef<EditorView | null>(null)
  const [text, setText] = useState(() => deckText(store.getState().session.site, language))
  const latest = useRef({ onPoint })
  latest.current = { onPoint }
  const leave = useRef<() => void>(() => undefined)
  // What waits is taken before the screen's own parts end, which send it.
  useLayoutEffect(() => () => leave.current(), [])

  useEffect(() => {
    let own: Site | null = null
    let memory = freshMemory(store.getState().session.site)
    let outline = ''
    let waiting: ReturnType<typeof setTimeout> | undefined
    let looking: ReturnType<typeof setTimeout> | undefined
    let gesture = 0
    let typed = 0
    const siteOf = () => store.getState().session.site

    const take = (value: string, deck = readText(siteOf(), value)) => {
      clearTimeout(waiting)
      waiting = undefined
      const now = outlineOf(deck)
      const outlined = now !== outline
      outline = now
      memory = applyDeck(store, deck, language, memory, 'copy deck', { gesture: `deck-${gesture}`, outlined })
      own = siteOf()
    }
    const onType = (value: string) => {
      const now = Date.now()
      const deck = readText(siteOf(), value)
      // What comes, goes or moves with its heading is a step of undo of its own.
      const outlined = outlineOf(deck) !== outline
      if (now - typed > GESTURE_RESTS || (outlined && waiting === undefined)) gesture++
      typed = now
      clearTimeout(waiting)
      if (!outlined) take(value, deck)
      // A heading that has lost its name is still being typed: its section waits for the new one.
      else
        waiting = setTimeout(() => {
          if (hasUnnamed(value)) return
          take(value)
          gesture++
          // Links to what was renamed have other addresses now.
          show()
        }, OUTLINE_RESTS)
    }
    /** Brings the text to the site, where they say different things. */
    const show = () => {
      const site = siteOf()
      const now = view.state.doc.toString()
      const wanted = deckText(site, language)
      outline = outlineOf(readText(site, wanted))
      if (sameDeck(now, wanted, site, pageOf(store.getState()).name)) return
      memory = freshMemory(site)
      view.dispatch({ changes: changesBetween(now, wanted), annotations: Transaction.userEvent.of('sync') })
      setText(wanted)
    }
    /** Finds what the caret stands in, and shows the outline, once typing rests. */
    const lookLater = () => {
      clearTimeout(looking)
      looking = setTimeout(() => {
        const { doc, selection } = view.state
        setText(doc.toString())
        latest.current.onPoint(passageAt(siteOf(), language, doc.toString(), selection.main.head))
      }, LOOK_RESTS)
    }
    const view = new EditorView({
      parent: host.current!,
      state: EditorState.create({
        doc: deckText(siteOf(), language),
        extensions: [
          guard,
          drawSelection(),
          EditorView.lineWrapping,
          EditorView.contentAttributes.of({ 'aria-label': 'Copy deck', spellcheck: 'true' }),
          placeholder('# Page\n\n## Section\n\n### Heading\n\nWords …'),
          markdown(),
          deckMarkers,
          syntaxHighlighting(look),
          theme,
          keymap.of([
            { key: 'Mod-z', run: () => (undo(store), true) },
            { key: 'Mod-Shift-z', run: () => (redo(store), true) },
            { key: 'Mod-y', run: () => (redo(store), true) },
            ...defaultKeymap,
          ]),
          EditorView.updateListener.of((update) => {
            const synced = update.transactions.some((one) => one.isUserEvent('sync'))
            if (update.docChanged && !synced) onType(update.state.doc.toString())
            if ((update.selectionSet || update.docChanged) && !synced && update.view.hasFocus) lookLater()
          }),
          EditorView.domEventHandlers({
            blur: () => {
              if (waiting !== undefined) take(view.state.doc.toString())
              show()
            },
          }),
        ],
      }),
    })
    outline = outlineOf(readText(siteOf(), view.state.doc.toString()))
    // Long decks are scrolled by keyboard as well.
    view.scrollDOM.tabIndex = 0
    editor.current = view
    const unsubscribe = store.subscribe((state, before) => {
      const { site } = state.session
      if (site === before.session.site || site === own || waiting !== undefined) return
      // The edit that is being made by this very editor is not shown back to it.
      queueMicrotask(() => siteOf() !== own && show())
    })
    leave.current = () => {
      if (waiting !== undefined) take(view.state.doc.toString())
    }
    return () => {
      leave.current()
      clearTimeout(looking)
      unsubscribe()
      view.destroy()
    }
  }, [store, language])

  // What is pointed at elsewhere is brought into sight here.
  useEffect(() => {
    const view = editor.current
    if (!view || !pointed || pointed.text === '' || view.hasFocus) return
    const at = view.state.doc.toString().indexOf(pointed.text)
    if (at < 0) return
    view.dispatch({
      selection: { anchor: at, head: at + pointed.text.length },
      effects: EditorView.scrollIntoView(at, { y: 'center' }),
    })
  }, [pointed])

  const goTo = (line: number) => {
    const view = editor.current!
    const { from } = view.state.doc.line(line + 1)
    view.dispatch({ selection: { anchor: from }, effects: EditorView.scrollIntoView(from, { y: 'start', yMargin: 12 }) })
    view.focus()
  }
  return (
    <div className="flex min-h-0 flex-1">
      <DeckOutline text={text} onGo={goTo} />
      <div ref={host} className="min-w-0 flex-1 overflow-hidden" data-deck />
    </div>
  )
}
