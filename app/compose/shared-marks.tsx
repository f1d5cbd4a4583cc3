import { copiesOf } from '#core/shared/copies'
import { boxOf, useFrames } from '../live/frames'
import { useSession } from '../session/context'
import { pageOf, type SessionState } from '../session/store'
import { selectedCopies } from './sharing'

/** The copies on the page of the shared block that is worked on, as one text, so that they are drawn again only when they change. */
const copiesToMark = (state: SessionState): string => {
  if (state.session.site.shared.length === 0) return ''
  const shared = new Set(selectedCopies(state).map((one) => one.copyOf.shared))
  const page = pageOf(state)
  return [...shared]
    .flatMap((id) => copiesOf(state.session.site, id))
    .filter((one) => one.page === page)
    .map((one) => one.copy.id)
    .join(' ')
}

/** A double hairline around every copy of the shared block that is selected. */
export function SharedMarks({ index }: { index: number }) {
  const view = useFrames().get(index)
  useSession((state) => state.layout)
  const ids = useSession(copiesToMark)
  if (!view || ids === '') return null
  const boxes = ids.split(' ').flatMap((id) => boxOf(view, id) ?? [])
  return (
    <svg aria-hidden data-copies={boxes.length} className="pointer-events-none absolute inset-0 h-full w-full overflow-visible">
      {boxes.flatMap(({ left, top, width, height }, n) =>
        [1.5, 4.5].map((out) => (
          <rect
            key={`${n} ${out}`}
            x={left - out}
            y={top - out}
            width={width + 2 * out}
            height={height + 2 * out}
            fill="none"
            stroke="#16211B"
          />
        )),
      )}
    </svg>
  )
}
