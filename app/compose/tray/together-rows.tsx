import { ofWidths } from '#core/style/registry'
import {
  AlignCenterHorizontal,
  AlignCenterVertical,
  AlignEndHorizontal,
  AlignEndVertical,
  AlignStartHorizontal,
  AlignStartVertical,
  Columns3,
  type LucideIcon,
  MoveHorizontal,
  MoveVertical,
  Rows3,
} from 'lucide-react'
import { useState } from 'react'
import { rangeAt } from '#core/grid/columns'
import {
  alignEdits,
  type Axis,
  type Boxes,
  distributeEdits,
  type Edge,
  equalEdits,
  gapEdits,
  type Impossible,
} from '#core/many/align'
import type { Edit } from '#core/edits/index'
import { Finding, Row } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'
import { boxOf, type Frames, useFrames } from '../../live/frames'
import { useSessionStore } from '../../session/context'
import { editAll, makeId, type SessionStore } from '../../session/store'
import { IconButton } from '../../ui/button'

type Tool = { label: string; icon: LucideIcon; edits: () => Edit[] | Impossible }

const EDGES: { axis: Axis; edge: Edge; label: string; icon: LucideIcon }[] = [
  { axis: 'across', edge: 'start', label: 'Align at the start', icon: AlignStartVertical },
  { axis: 'across', edge: 'center', label: 'Align in the middle, across', icon: AlignCenterVertical },
  { axis: 'across', edge: 'end', label: 'Align at the end', icon: AlignEndVertical },
  { axis: 'down', edge: 'start', label: 'Align at the top', icon: AlignStartHorizontal },
  { axis: 'down', edge: 'center', label: 'Align in the middle, down', icon: AlignCenterHorizontal },
  { axis: 'down', edge: 'end', label: 'Align at the bottom', icon: AlignEndHorizontal },
]

/** The first view that shows a range of widths, or the first of all. */
const viewAt = (frames: Frames, store: SessionStore, { range }: StyleAccess) =>
  [...frames.values()].find(({ width }) => rangeAt(store.getState().session.site.breakpoints, width) === range) ??
  [...frames.values()][0]

/** Boxes of the blocks in a view, px of the page. */
function boxesIn(view: ReturnType<typeof viewAt>, style: StyleAccess): Boxes {
  const boxes = new Map<string, { left: number; top: number; width: number; height: number }>()
  if (!view) return boxes
  for (const { block } of style.places) {
    const box = boxOf({ ...view, scale: 1 }, block.id)
    if (box) boxes.set(block.id, box)
  }
  return boxes
}

/** What several blocks are given together: edges, columns, gaps and sizes. */
export function TogetherRows({ style }: { style: StyleAccess }) {
  const store = useSessionStore()
  const frames = useFrames()
  const [impossible, setImpossible] = useState<Impossible | null>(null)
  const scope = ofWidths(style.scope)
  const site = () => store.getState().session.site
  const view = () => viewAt(frames, store, style)
  const boxes = () => boxesIn(view(), style)
  const run = ({ label, edits }: Tool) => {
    const made = edits()
    setImpossible('problem' in made ? made : null)
    if (!('problem' in made)) editAll(store, label.toLowerCase(), made)
  }
  const shares: Tool[] = [
    { label: 'Share out the columns', icon: Columns3, edits: () => distributeEdits(site(), style.places, scope, makeId) },
    { label: 'Equal gaps', icon: Rows3, edits: () => gapEdits(site(), style.places, boxes(), scope, view()?.width ?? 1280) },
    { label: 'Equally wide', icon: MoveHorizontal, edits: () => equalEdits(site(), style.places, 'width', boxes(), scope) },
    { label: 'Equally high', icon: MoveVertical, edits: () => equalEdits(site(), style.places, 'height', boxes(), scope) },
  ]
  const button = (tool: Tool) => (
    <IconButton
      key={tool.label}
      label={tool.label}
      className="h-[26px] flex-1 border border-line-strong bg-field"
      onClick={() => run(tool)}
    >
      <tool.icon size={15} strokeWidth={1.5} />
    </IconButton>
  )
  return (
    <div role="group" aria-label="Together">
      <Row label="Together">
        {EDGES.map(({ axis, edge, label, icon }) =>
          button({ label, icon, edits: () => alignEdits(site(), style.places, edge, axis, scope) }),
        )}
      </Row>
      <Row label="">{shares.map(button)}</Row>
      {impossible && (
        <Finding well={false}>
          {impossible.problem}{' '}
          {impossible.instead && impossible.instead.edits.length > 0 && (
            <button
              type="button"
              className="min-h-6 underline"
              onClick={() => {
                // Worked out again: the site, or what is selected, may have changed since it was offered.
                const now = distributeEdits(site(), style.places, scope, makeId)
                if ('problem' in now && now.instead) editAll(store, now.instead.label.toLowerCase(), now.instead.edits)
                setImpossible(null)
              }}
            >
              {impossible.instead.label}
            </button>
          )}
        </Finding>
      )}
    </div>
  )
}
