import { Pipette } from 'lucide-react'
import { useEffect, useState } from 'react'
import { isFilm } from '#core/picture/picture'
import type { PaletteColour } from '#core/colour/palette'
import type { BoardCard } from '#core/site/board'
import type { Picture } from '#core/picture/picture'
import { FAMILIES } from '#core/type/families'
import { useSessionStore, useSession } from '../session/context'
import { edit, editAll, makeId } from '../session/store'
import { Button } from '../ui/button'
import { Choice } from '../ui/choice'
import { NumberField } from '../ui/number-field'
import { Prose } from '../ui/prose'
import { dropCards, paletteCards, putCards } from './board-edits'
import { picturePalette } from '../colours/picture-palette'

type CardPanelProps = {
  cards: readonly BoardCard[]
  onChoose: (ids: ReadonlySet<string>) => void
  picking: boolean
  onPick: (picking: boolean) => void
  /** The card that was just made here: what is typed next is its own. */
  made: string | undefined
}

/** The chosen card, or the chosen cards: what is liked in it, and what can be had out of it. */
export function CardPanel({ cards, onChoose, picking, onPick, made }: CardPanelProps) {
  const store = useSessionStore()
  const [card] = cards
  if (!card)
    return (
      <section aria-label="Card" className="p-3">
        <h2 className="font-semibold">References</h2>
        <p className="text-label text-ink-2">
          Drop or paste pictures on the board, or take them from the library. Choose a card to say what is liked in it; Shift
          chooses several.
        </p>
      </section>
    )
  const together = card.group !== undefined && cards.every((one) => one.group === card.group)
  const remove = () => {
    if (edit(store, dropCards(cards.map((one) => one.id)))) onChoose(new Set())
  }
  const group = (id: string | undefined) =>
    editAll(store, id ? 'group cards' : 'ungroup cards', [
      putCards(cards.map(({ group: _, ...rest }) => (id ? { ...rest, group: id } : rest)) as BoardCard[]),
    ])
  return (
    <section aria-label="Card" className="relative flex max-h-[60%] flex-col gap-2 overflow-y-auto p-3">
      <h2 className="font-semibold first-letter:uppercase">{cards.length === 1 ? card.kind : `${cards.length} cards`}</h2>
      {cards.length === 1 && <One key={card.id} card={card} picking={picking} onPick={onPick} made={made === card.id} />}
      <div className="flex flex-wrap gap-2">
        {cards.length > 1 && !together && <Button onClick={() => group(makeId())}>Group</Button>}
        {together && <Button onClick={() => group(undefined)}>Ungroup</Button>}
        <Button look="danger" onClick={remove}>
          Delete
        </Button>
      </div>
    </section>
  )
}

type OneProps = { card: BoardCard; picking: boolean; onPick: (picking: boolean) => void; made: boolean }

function One({ card, picking, onPick, made }: OneProps) {
  const store = useSessionStore()
  const pictures = useSession((state) => state.session.site.pictures).filter((one) => !isFilm(one))
  const set = (values: Partial<BoardCard>, gesture?: string) =>
    edit(store, putCards([{ ...card, ...values } as BoardCard]), gesture)
  const picture = card.kind === 'picture' ? pictures.find((one) => one.id === card.picture) : undefined
  return (
    <>
      <Prose
        label="What is liked in it"
        placeholder="The way the light sits on the horizon"
        most={400}
        begun={made && card.kind !== 'note'}
        value={card.caption}
        onChange={(caption, gesture) => set({ caption }, gesture)}
      />
      {card.kind === 'note' && (
        <Prose label="Note" begun={made} value={card.text} onChange={(text, gesture) => set({ text }, gesture)} />
      )}
      {card.kind === 'colour' && (
        <p className="figure">
          {card.hex}
          {card.share !== undefined && `, ${Math.round(card.share * 100)} % of its picture`}
        </p>
      )}
      {card.kind === 'type' && (
        <>
          <Choice
            className="w-full"
            label="Family"
            value={card.family}
            options={FAMILIES.map((one) => ({ value: one.id, label: one.name, note: one.class }))}
            onChange={(family) => set({ family })}
          />
          <NumberField
            label="Weight"
            prefix="Weight"
            whole
            least={100}
            most={1000}
            step={10}
            value={card.weight}
            onChange={(weight) => set({ weight })}
          />
          <Prose label="Sample" most={200} value={card.sample} onChange={(sample, gesture) => set({ sample }, gesture)} />
        </>
      )}
      {picture && (
        <>
          <Button
            aria-pressed={picking}
            className={picking ? '!border-ink !bg-ink !text-on-ink' : ''}
            onClick={() => onPick(!picking)}
          >
            <Pipette size={14} strokeWidth={1.5} /> {picking ? 'Press on the picture' : 'Pick a colour from it'}
          </Button>
          <Palette key={picture.id} picture={picture} caption={card.caption} />
        </>
      )}
    </>
  )
}

function Palette({ picture, caption }: { picture: Picture; caption: string }) {
  const store = useSessionStore()
  const [count, setCount] = useState(5)
  const [colours, setColours] = useState<PaletteColour[] | null>(null)
  const [problem, setProblem] = useState('')
  useEffect(() => {
    let stale = false
    picturePalette(picture, count)
      .then((found) => !stale && setColours(found))
      .catch(() => !stale && setProblem('The palette cannot be made: the picture cannot be read.'))
    return () => {
      stale = true
    }
  }, [picture, count])
  return (
    <div role="group" aria-label="Palette of the picture">
      <div className="flex items-center justify-between">
        <span className="text-label text-ink-2">Palette</span>
        <NumberField
          className="w-24"
          label="Colours in the palette"
          unit="colours"
          whole
          least={3}
          most={10}
          value={count}
          onChange={setCount}
        />
      </div>
      {problem !== '' && <p className="text-label text-rust">{problem}</p>}
      {!colours && problem === '' && <p className="text-label text-ink-2">Reading the picture …</p>}
      {colours && (
        <>
          <div className="mt-1 flex h-9" aria-hidden>
            {colours.map((one) => (
              <span key={one.hex} style={{ background: one.hex, flex: one.share }} />
            ))}
          </div>
          <ul className="mt-1 grid grid-cols-2 gap-x-3" data-palette>
            {colours.map((one) => (
              <li key={one.hex} className="figure flex justify-between">
                <span>{one.hex}</span>
                <span className="text-ink-2">{(one.share * 100).toFixed(1)} %</span>
              </li>
            ))}
          </ul>
          <Button
            className="mt-1.5 w-full"
            onClick={() =>
              editAll(store, 'palette', [
                putCards(paletteCards(store.getState().session.site.board, colours, caption || `Palette of ${picture.name}`)),
              ])
            }
          >
            Put the palette on the board
          </Button>
        </>
      )}
    </div>
  )
}
