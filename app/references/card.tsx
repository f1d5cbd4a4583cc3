import { memo, type PointerEvent, useRef, useState } from 'react'
import type { BoardCard } from '#core/site/board'
import { fontStack } from '#core/type/families'
import { useSession } from '../session/context'
import { EyeDropper } from '../colours/eye-dropper'

type CardProps = {
  card: BoardCard
  chosen: boolean
  picking: boolean
  onPicked: (hex: string) => void
  onGrab: (card: BoardCard, event: PointerEvent<HTMLElement>, size: boolean) => void
  /** Called when the card is chosen by a key; `more` keeps the others. */
  onPress: (card: BoardCard, more: boolean) => void
  onMove: (event: PointerEvent<HTMLElement>) => void
  onRelease: () => void
}

const CORNERS = [
  '-left-1 -top-1 border-l-2 border-t-2',
  '-right-1 -top-1 border-r-2 border-t-2',
  '-bottom-1 -left-1 border-b-2 border-l-2',
  '-bottom-1 -right-1 border-b-2 border-r-2',
]

/** What a card is, for those who hear the board. */
const EMPTY_NOTE = 'An empty note'

/** The words that a card shows on its face. */
function shownOn(card: BoardCard): string {
  if (card.kind === 'colour') return card.hex
  if (card.kind === 'type') return card.sample
  return card.kind === 'note' ? card.text || EMPTY_NOTE : ''
}

/** What a card is called: its kind, what is liked in it, and what it shows, since who speaks to a screen says what he sees. */
const nameOf = (card: BoardCard): string =>
  [`${card.kind}${card.caption === '' ? '' : `: ${card.caption}`}`, shownOn(card)].filter((one) => one !== '').join(' ')

/** A card of the board: it is moved by its face, and sized at its lower right corner. */
export const Card = memo(function Card({ card, chosen, picking, onPicked, onGrab, onPress, onMove, onRelease }: CardProps) {
  const own = useRef<HTMLDivElement>(null)
  return (
    <div ref={own} className="absolute" style={{ left: card.x, top: card.y, width: card.width }} data-card={card.kind}>
      <div
        role="button"
        tabIndex={0}
        aria-label={nameOf(card)}
        aria-pressed={chosen}
        className={`relative touch-none ${picking ? 'cursor-crosshair' : 'cursor-grab'}`}
        style={{ height: card.height }}
        onPointerDown={(event) => !picking && onGrab(card, event, false)}
        onPointerMove={onMove}
        onPointerUp={onRelease}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' && event.key !== ' ') return
          event.preventDefault()
          onPress(card, event.shiftKey)
        }}
      >
        <Face card={card} picking={picking} onPicked={onPicked} />
        {chosen &&
          CORNERS.map((corner) => (
            <span key={corner} aria-hidden className={`pointer-events-none absolute h-3 w-3 border-yarrow ${corner}`} />
          ))}
        {chosen && (
          <span
            aria-hidden
            className="absolute -bottom-2 -right-2 h-4 w-4 cursor-nwse-resize touch-none"
            onPointerDown={(event) => {
              event.stopPropagation()
              onGrab(card, event, true)
            }}
            onPointerMove={onMove}
            onPointerUp={onRelease}
          />
        )}
      </div>
      {card.caption !== '' && <p className="mt-1 text-label text-ink-2">{card.caption}</p>}
    </div>
  )
})

function Face({ card, picking, onPicked }: { card: BoardCard; picking: boolean; onPicked: (hex: string) => void }) {
  const pictures = useSession((state) => state.session.site.pictures)
  const [failed, setFailed] = useState(false)
  switch (card.kind) {
    case 'picture': {
      const picture = pictures.find((one) => one.id === card.picture)
      if (!picture || failed)
        return (
          <div className="flex h-full items-center justify-center border border-dashed border-line-strong text-label text-ink-2">
            The picture is gone
          </div>
        )
      const source = `/pictures/${picture.hash}${picture.type === 'image/svg+xml' ? '' : '?w=1600'}`
      return (
        <>
          <img src={source} alt="" draggable={false} className="h-full w-full object-cover" onError={() => setFailed(true)} />
          {picking && <EyeDropper source={source} onPicked={onPicked} />}
        </>
      )
    }
    case 'colour':
      return (
        <div className="flex h-full flex-col justify-end border border-line-strong" style={{ background: card.hex }}>
          <span className="figure truncate bg-panel px-1">{card.hex}</span>
        </div>
      )
    case 'type':
      return (
        <div
          className="h-full overflow-hidden border border-line-strong bg-field p-2"
          style={{
            fontFamily: fontStack(card.family),
            fontWeight: card.weight,
            fontSize: Math.max(16, card.height * 0.28),
            lineHeight: 1.15,
          }}
        >
          {card.sample}
        </div>
      )
    case 'note':
      return (
        <div className="h-full overflow-hidden whitespace-pre-wrap border-l-2 border-yarrow bg-panel p-2">
          {card.text === '' ? <span className="text-muted">{EMPTY_NOTE}</span> : card.text}
        </div>
      )
  }
}
