import { act, type ReactNode } from 'react'
import type { Place } from '#core/site/tree'
import { type StyleAccess, useStyle, useSelected } from '../../fields/use-style'
import { useSession } from '../../session/context'
import { select, selected } from '../../session/store'
import { stage, type Stage } from '../../style/style.fixture'

type Draw = (place: Place, style: StyleAccess) => ReactNode

function Chosen({ place, draw }: { place: Place; draw: Draw }) {
  return draw(place, useStyle(useSelected()))
}
function Columns({ draw }: { draw: Draw }) {
  const place = useSession(selected)
  return place ? <Chosen key={place.block.id} place={place} draw={draw} /> : null
}

/** Columns of the tray on the demo site, for a block of it, or another that is selected later. */
export function trayOf(block: string, draw: Draw): Stage {
  const now = stage(<Columns draw={draw} />)
  act(() => select(now.store, block))
  return now
}
