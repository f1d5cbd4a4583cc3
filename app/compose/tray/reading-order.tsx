import { isContainer } from '#core/blocks/tree'
import { rangeAt } from '#core/grid/columns'
import { seenBefore } from '#core/many/reading-order'
import type { Edit } from '#core/edits/index'
import type { Place } from '#core/site/tree'
import { rangeScopes } from '#core/style/cascade'
import { valuesIn } from '#core/style/registry'
import { Finding } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'
import { boxOf, useFrames } from '../../live/frames'
import { useSession, useSessionStore } from '../../session/context'
import { blockName, editAll } from '../../session/store'

const NOWHERE = { left: 0, top: 0, width: 0, height: 0 }

/** Warns where what a block holds, or what it stands among, is seen in another order than it is read. */
export function ReadingOrder({ place, style }: { place: Place; style: StyleAccess }) {
  const store = useSessionStore()
  const frames = useFrames()
  const { breakpoints } = useSession((state) => state.session.site)
  useSession((state) => state.layout)
  const holder = isContainer(place.block) ? place.block : place.ancestors.at(-1)
  const view = [...frames.values()].find((one) => rangeAt(breakpoints, one.width) === style.range)
  if (!holder || !view) return null
  // What lies behind all, or is held to edges, has no place among the others.
  const children = holder.children.filter((one) => !['backdrop', 'held'].includes(one.style.base?.position ?? 'flow'))
  const found = seenBefore(children.map((one) => boxOf(view, one.id) ?? NOWHERE))
  if (!found) return null
  const [first, second] = found.map((n) => blockName(children[n]!))
  const back = children.flatMap((block) =>
    rangeScopes(breakpoints).flatMap((scope): Edit[] =>
      valuesIn(block.style, scope)?.order === undefined ? [] : [{ kind: 'style', block: block.id, scope, values: { order: null } }],
    ),
  )
  return (
    <Finding well={false}>
      {second} is read after {first}, but seen before it at <span className="figure">{view.width}</span>. Those who hear the page,
      or go through it by keyboard, meet them the other way round.{' '}
      {back.length > 0 && (
        <button type="button" className="min-h-6 underline" onClick={() => editAll(store, 'put the order back', back)}>
          Put the order back
        </button>
      )}
    </Finding>
  )
}
