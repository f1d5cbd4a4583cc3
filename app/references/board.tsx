import { Image, Palette, StickyNote, Type } from 'lucide-react'
import { type DragEvent, type PointerEvent, useEffect, useRef, useState } from 'react'
import { SAMPLE } from '#core/type/sample'
import { type SnapLine, boxAround, snap } from '#core/board/snap'
import type { BoardCard } from '#core/site/board'
import { inText } from '../ui/in-text'
import { useSessionStore, useSession } from '../session/context'
import { uploadPicture } from '../session/upload-picture'
import { edit, editAll, makeId } from '../session/store'
import { Button } from '../ui/button'
import { FileInput } from '../ui/file-input'
import { dropCards, GAP, newCard, pictureCard, putCards, withGroups } from './board-edits'
import { Card } from './card'

/** How near an edge comes before it snaps, px. */
const REACH = 6

type BoardProps = {
  chosen: ReadonlySet<string>
  onChoose: (ids: ReadonlySet<string>) => void
  picking: boolean
  onPicked: () => void
  /** Told of a card that was just made. */
  onMade: (id: string) => void
}

type Drag = { ids: Set<string>; x: number; y: number; cards: BoardCard[]; gesture: string; size: boolean }

/** The references board: cards that stand where they are put, and snap to each other. */
export function Board({ chosen, onChoose, picking, onPicked, onMade }: BoardProps) {
  const store = useSessionStore()
  const board = useSession((state) => state.session.site.board)
  const drag = useRef<Drag | null>(null)
  const [lines, setLines] = useState<SnapLine[]>([])
  const extent = board.length === 0 ? { x: 0, y: 0, width: 0, height: 0 } : boxAround(board)
  const siteOf = () => store.getState().session.site

  const addFiles = async (files: readonly File[]) => {
    for (const file of files) {
      const picture = await uploadPicture(store.getState().siteId, file)
      if (picture) editAll(store, `add ${file.name}`, pictureCard(siteOf(), picture))
    }
  }

  useEffect(() => {
    const onPaste = (event: ClipboardEvent) => {
      if (inText(event.target)) return
      const files = [...(event.clipboardData?.files ?? [])]
      const text = event.clipboardData?.getData('text/plain').trim() ?? ''
      if (files.length > 0) void addFiles(files)
      else if (/^#?[0-9a-f]{6}$/i.test(text))
        edit(store, putCards([newCard(siteOf().board, { kind: 'colour', hex: `#${text.replace('#', '')}`.toUpperCase() })]))
      else if (text !== '') edit(store, putCards([newCard(siteOf().board, { kind: 'note', text: text.slice(0, 4000) })]))
      else return
      event.preventDefault()
    }
    const onKeyDown = (event: KeyboardEvent) => {
      if (inText(event.target) || chosen.size === 0) return
      const step = event.shiftKey ? 1 : 8
      const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[event.key]
      if (event.key === 'Escape') onChoose(new Set())
      else if (event.key === 'Delete' || event.key === 'Backspace') {
        if (edit(store, dropCards([...chosen]))) onChoose(new Set())
      } else if (by)
        editAll(
          store,
          'move cards',
          [putCards(withGroups(siteOf().board, chosen).map((one) => ({ ...one, x: one.x + by[0]!, y: one.y + by[1]! })))],
          `move-${[...chosen].join()}`,
        )
      else return
      event.preventDefault()
    }
    document.addEventListener('paste', onPaste)
    window.addEventListener('keydown', onKeyDown)
    return () => {
      document.removeEventListener('paste', onPaste)
      window.removeEventListener('keydown', onKeyDown)
    }
  })

  const grab = (card: BoardCard, event: PointerEvent<HTMLElement>, size: boolean) => {
    if (event.button !== 0) return
    const ids = event.shiftKey ? new Set([...chosen, card.id]) : chosen.has(card.id) ? new Set(chosen) : new Set([card.id])
    onChoose(ids)
    event.currentTarget.setPointerCapture(event.pointerId)
    const cards = size ? [card] : withGroups(board, ids)
    drag.current = {
      ids: new Set(cards.map((one) => one.id)),
      x: event.clientX,
      y: event.clientY,
      cards,
      gesture: `drag-${makeId()}`,
      size,
    }
  }
  const move = (event: PointerEvent<HTMLElement>) => {
    const { current } = drag
    if (!current) return
    const dx = event.clientX - current.x
    const dy = event.clientY - current.y
    const others = siteOf().board.filter((one) => !current.ids.has(one.id))
    if (current.size) {
      const [card] = current.cards
      const width = Math.max(40, Math.round(card!.width + dx))
      const height =
        card!.kind === 'picture' ? Math.round((width * card!.height) / card!.width) : Math.max(40, Math.round(card!.height + dy))
      edit(store, putCards([{ ...card!, width, height }]), current.gesture)
      return
    }
    if (Math.abs(dx) + Math.abs(dy) < 3) return
    const around = boxAround(current.cards)
    const snapped = snap({ ...around, x: around.x + dx, y: around.y + dy }, others, event.altKey ? 0 : REACH, GAP)
    setLines(snapped.lines)
    const by = { x: Math.round(snapped.x - around.x), y: Math.round(snapped.y - around.y) }
    edit(store, putCards(current.cards.map((one) => ({ ...one, x: one.x + by.x, y: one.y + by.y }))), current.gesture)
  }
  const release = () => {
    drag.current = null
    setLines([])
  }
  const add = (card: BoardCard) => {
    if (!edit(store, putCards([card]))) return
    onMade(card.id)
    onChoose(new Set([card.id]))
  }
  const file = useRef<HTMLInputElement>(null)
  return (
    <div className="flex h-full flex-col">
      <div className="flex h-9 shrink-0 items-center gap-2 border-b border-line-strong bg-ground px-3">
        <h1 className="text-[14px] font-semibold">References</h1>
        <span className="flex-1" />
        <FileInput
          ref={file}
          label="Pictures for the board"
          takes={['board picture']}
          multiple
          onTake={(files) => void addFiles(files)}
        />
        <Button className="!h-[26px]" onClick={() => file.current!.click()}>
          <Image size={14} strokeWidth={1.5} /> Picture
        </Button>
        <Button className="!h-[26px]" onClick={() => add(newCard(board, { kind: 'colour', hex: '#EDB700' }))}>
          <Palette size={14} strokeWidth={1.5} /> Colour
        </Button>
        <Button
          className="!h-[26px]"
          onClick={() => add(newCard(board, { kind: 'type', family: 'fraunces', weight: 560, sample: SAMPLE.heading }))}
        >
          <Type size={14} strokeWidth={1.5} /> Type
        </Button>
        <Button className="!h-[26px]" onClick={() => add(newCard(board, { kind: 'note', text: '' }))}>
          <StickyNote size={14} strokeWidth={1.5} /> Note
        </Button>
      </div>
      <div
        className="min-h-0 flex-1 overflow-auto bg-ground"
        data-board
        onDragOver={(event) => event.preventDefault()}
        onDrop={(event: DragEvent) => {
          event.preventDefault()
          void addFiles([...event.dataTransfer.files])
        }}
      >
        <div
          className="relative"
          style={{
            minWidth: '100%',
            minHeight: '100%',
            width: extent.x + extent.width + 200,
            height: extent.y + extent.height + 160,
          }}
          onPointerDown={(event) => event.target === event.currentTarget && onChoose(new Set())}
        >
          {board.map((card) => (
            <Card
              key={card.id}
              card={card}
              chosen={chosen.has(card.id)}
              picking={picking && chosen.has(card.id)}
              onPicked={(hex) => {
                add(newCard(siteOf().board, { kind: 'colour', hex }))
                onPicked()
              }}
              onGrab={grab}
              onPress={(one, more) => onChoose(new Set(more ? [...chosen, one.id] : [one.id]))}
              onMove={move}
              onRelease={release}
            />
          ))}
          {lines.map((line) => (
            <span
              key={`${line.axis}${line.at}`}
              aria-hidden
              className="pointer-events-none absolute bg-ink"
              style={
                line.axis === 'x'
                  ? { left: line.at, top: line.from, width: 1, height: line.to - line.from }
                  : { top: line.at, left: line.from, height: 1, width: line.to - line.from }
              }
            />
          ))}
          {board.length === 0 && (
            <p className="p-10 text-ink-2">
              The board is empty. Drop pictures here, paste a colour such as #1A1D47, or begin with the library at the right.
            </p>
          )}
        </div>
      </div>
    </div>
  )
}
