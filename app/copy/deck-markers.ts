import { syntaxTree } from '@codemirror/language'
import type { Extension } from '@codemirror/state'
import { Prec, RangeSetBuilder } from '@codemirror/state'
import {
  Decoration,
  type DecorationSet,
  EditorView,
  keymap,
  ViewPlugin,
  type ViewUpdate,
  WidgetType,
  type Command,
} from '@codemirror/view'

const LAST_MARKER = /(?:>|[-*+](?:[ \t]+\[[ x]\])?|\d{1,9}[.)])[ \t]*$/

/** Where the last marker of a line begins that holds markers of quotes and lists and nothing else; -1 for any other line. */
export function emptyMarkerAt(line: string): number {
  if (!/^[\s>*+\-\d.)[\]x]*$/.test(line)) return -1
  const last = LAST_MARKER.exec(line)
  if (!last) return -1
  const before = line.slice(0, last.index)
  return before.trim() === '' || emptyMarkerAt(before.trimEnd()) >= 0 ? last.index : -1
}

/** Enter on a marker that nothing follows leaves the quote or the list, instead of making another. */
const leaveEmpty: Command = (view) => {
  const { state } = view
  const { main, ranges } = state.selection
  const line = state.doc.lineAt(main.head)
  if (state.readOnly || ranges.length > 1 || !main.empty || main.head !== line.to) return false
  const at = emptyMarkerAt(line.text)
  if (at < 0) return false
  view.dispatch({
    changes: { from: line.from + at, to: line.to },
    selection: { anchor: line.from + at },
    scrollIntoView: true,
    userEvent: 'delete.markup',
  })
  return true
}

/** Says at the end of a line why its heading begins nothing. */
class Said extends WidgetType {
  constructor(readonly sentence: string) {
    super()
  }
  override eq(other: Said): boolean {
    return other.sentence === this.sentence
  }
  toDOM(): HTMLElement {
    const element = document.createElement('span')
    element.className = 'cm-trapped-said'
    element.textContent = this.sentence
    return element
  }
}

const line = Decoration.line({ class: 'cm-trapped' })

/** The headings in sight that stand inside a quote or a list, so that they head nothing. */
function trappedIn(view: EditorView): DecorationSet {
  const builder = new RangeSetBuilder<Decoration>()
  for (const { from, to } of view.visibleRanges)
    syntaxTree(view.state).iterate({
      from,
      to,
      enter: (node) => {
        if (!node.name.startsWith('ATXHeading')) return
        for (let around = node.node.parent; around; around = around.parent) {
          if (around.name !== 'Blockquote' && around.name !== 'ListItem') continue
          const at = view.state.doc.lineAt(node.from)
          builder.add(at.from, at.from, line)
          const part = `part of the ${around.name === 'Blockquote' ? 'quote' : 'list'} above`
          const begins = { ATXHeading1: 'page', ATXHeading2: 'section' }[node.name]
          const widget = new Said(begins === undefined ? part : `${part}: it begins no ${begins}`)
          builder.add(at.to, at.to, Decoration.widget({ widget, side: 1 }))
          return
        }
      },
    })
  return builder.finish()
}

const trapped = ViewPlugin.fromClass(
  class {
    decorations: DecorationSet
    constructor(view: EditorView) {
      this.decorations = trappedIn(view)
    }
    update(update: ViewUpdate) {
      if (update.docChanged || update.viewportChanged || syntaxTree(update.startState) !== syntaxTree(update.state))
        this.decorations = trappedIn(update.view)
    }
  },
  { decorations: (plugin) => plugin.decorations },
)

const theme = EditorView.baseTheme({
  '.cm-trapped': { boxShadow: 'inset 2px 0 var(--color-rust)' },
  '.cm-trapped-said': { marginLeft: '10px', fontSize: '11.5px', color: 'var(--color-rust)' },
})

/** Quotes and lists of the deck: how they are left, and what they took along. */
export const deckMarkers: Extension = [Prec.highest(keymap.of([{ key: 'Enter', run: leaveEmpty }])), trapped, theme]
