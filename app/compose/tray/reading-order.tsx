import { useEffect, useState } from 'react'
import type { Block, Container } from '#core/blocks/index'
import { isContainer } from '#core/blocks/tree'
import { rangeAt } from '#core/grid/columns'
import { seenBefore } from '#core/many/reading-order'
import type { Edit } from '#core/edits/index'
import type { Place } from '#core/site/tree'
import { rangeScopes } from '#core/style/cascade'
import { valuesIn } from '#core/style/registry'
import { isSame } from '#core/values/equal'
import { Finding } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'
import { boxOf, type StageView, useFrames } from '../../live/frames'
import { afterPaint } from '../../ui/lagging'
import { useSession, useSessionStore } from '../../session/context'
import { blockName } from '#core/blocks/block-name'
import { editAll } from '../../session/store'

const NOWHERE = { left: 0, top: 0, width: 0, height: 0 }

/** Two blocks that are seen the other way round than they are read, and the width of the view in which they are. */
type Found = { first: string; second: string; width: number }

function wrongWayRound(holder: Container, view: StageView): Found | undefined {
  // What lies behind all, or is held to edges, has no place among the others.
  const children = (holder.children as Block[]).filter((one) => !['backdrop', 'held'].includes(one.style.base?.position ?? 'flow'))
  const found = seenBefore(children.map((one) => boxOf(view, one.id) ?? NOWHERE))
  if (!found) return undefined
  return { first: blockName(children[found[0]]!), second: blockName(children[found[1]]!), width: view.width }
}

/** Warns where what a block holds, or what it stands among, is seen in another order than it is read. */
export function ReadingOrder({ place, style }: { place: Place; style: StyleAccess }) {
  const store = useSessionStore()
  const frames = useFrames()
  const { breakpoints } = useSession((state) => state.session.site)
  const layout = useSession((state) => state.layout)
  const holder = isContainer(place.block) ? place.block : place.ancestors.at(-1)
  const [found, setFound] = useState<Found>()
  // Looked at after the page has been painted: it must not hold up a key press.
  useEffect(() => {
    return afterPaint(() => {
      const view = [...frames.values()].find((one) => rangeAt(breakpoints, one.width) === style.range)
      const next = holder && view ? wrongWayRound(holder, view) : undefined
      setFound((now) => (isSame(now, next) ? now : next))
    })
  }, [frames, layout, holder, breakpoints, style.range])
  if (!holder || !found) return null
  const back = holder.children.flatMap((block: Block) =>
    rangeScopes(breakpoints).flatMap((scope): Edit[] =>
      valuesIn(block.style, scope)?.order === undefined ? [] : [{ kind: 'style', block: block.id, scope, values: { order: null } }],
    ),
  )
  return (
    <Finding well={false}>
      {found.second} is read after {found.first}, but seen before it at <span className="figure">{found.width}</span>. Those who
      hear the page, or go through it by keyboard, meet them the other way round.{' '}
      {back.length > 0 && (
        <button type="button" className="min-h-6 underline" onClick={() => editAll(store, 'put the order back', back)}>
          Put the order back
        </button>
      )}
    </Finding>
  )
}
