import { Pipette } from 'lucide-react'
import { useState } from 'react'
import { toast } from 'sonner'
import { isFilm } from '#core/picture/picture'
import { harmonyOf, HARMONIES, type Harmony, rampOf } from '#core/colour/harmony'
import type { PaletteColour } from '#core/colour/palette'
import { readColourList } from '#core/formats/colour-list'
import type { Site } from '#core/site/schema'
import { useSession } from '../session/context'
import { EyeDropper } from '../colours/eye-dropper'
import { picturePalette } from '../colours/picture-palette'
import { Choice } from '../ui/choice'
import { NumberField } from '../ui/number-field'
import { Toggle } from './part'

const SOURCES = ['Harmony', 'Picture', 'References', 'List'] as const
type Source = (typeof SOURCES)[number]
type Taking = { onTake: (hex: string) => void; onHover: (hex: string | null) => void }

/** Where a colour may come from: a harmony with its ramps, a picture, the references board, a list that is pasted. */
export function ColourSources({ hex, ...taking }: { hex: string } & Taking) {
  const [source, setSource] = useState<Source>('Harmony')
  return (
    <div className="mt-3 border-t border-line pt-2">
      <div className="mb-2 flex items-center gap-1">
        <span className="mr-1 text-label text-ink-2">Take from</span>
        {SOURCES.map((one) => (
          <Toggle key={one} label={one} pressed={source === one} onPress={() => setSource(one)} />
        ))}
      </div>
      {source === 'Harmony' && <Harmonies hex={hex} {...taking} />}
      {source === 'Picture' && <FromPicture {...taking} />}
      {source === 'References' && <FromBoard {...taking} />}
      {source === 'List' && <FromList {...taking} />}
    </div>
  )
}

/** A colour that is tried on the page under the pointer, and taken by a press. */
function Chip({ hex, note, onTake, onHover }: { hex: string; note?: string } & Taking) {
  return (
    <button
      type="button"
      title={note ? `${hex}, ${note}` : hex}
      aria-label={`Take ${hex}`}
      className="h-6 min-w-6 flex-1 border border-line-strong hover:border-ink"
      style={{ background: hex }}
      onMouseEnter={() => onHover(hex)}
      onMouseLeave={() => onHover(null)}
      onClick={() => onTake(hex)}
    />
  )
}

const STEPS = 9

function Harmonies({ hex, ...taking }: { hex: string } & Taking) {
  const [harmony, setHarmony] = useState<Harmony>('complementary')
  return (
    <div className="grid grid-cols-[130px_1fr] gap-3">
      <Choice
        label="Harmony"
        value={harmony}
        options={(Object.keys(HARMONIES) as Harmony[]).map((one) => ({ value: one, label: one[0]!.toUpperCase() + one.slice(1) }))}
        onChange={setHarmony}
      />
      <div className="space-y-1">
        {harmonyOf(hex, harmony).map((one) => (
          <div key={one} className="flex gap-1">
            <Chip hex={one} {...taking} />
            <span aria-hidden className="w-1" />
            {rampOf(one, STEPS).map((step, i) => (
              <Chip key={`${step}${i}`} hex={step} note={`step ${i + 1} of ${STEPS}`} {...taking} />
            ))}
          </div>
        ))}
      </div>
    </div>
  )
}

/** A picture of the site at a width that is fast to read. */
const sourceOf = (picture: Site['pictures'][number]) =>
  `/pictures/${picture.hash}${picture.type === 'image/svg+xml' ? '' : '?w=1200'}`

function FromPicture(taking: Taking) {
  const pictures = useSession((state) => state.session.site.pictures).filter((one) => !isFilm(one))
  const [id, setId] = useState(pictures[0]?.id ?? '')
  const [count, setCount] = useState(6)
  const [palette, setPalette] = useState<PaletteColour[]>([])
  const [picking, setPicking] = useState(false)
  const picture = pictures.find((one) => one.id === id)
  const compute = async (chosen: Site['pictures'][number], colours: number) => {
    try {
      setPalette(await picturePalette(chosen, colours))
    } catch (error) {
      toast.error((error as Error).message)
    }
  }
  if (!picture)
    return (
      <p className="text-label text-ink-2">
        The site has no pictures yet. Drop one on the page in Compose, or on the references board.
      </p>
    )
  return (
    <div className="space-y-1.5">
      <div className="flex gap-1.5">
        <Choice
          className="flex-1"
          label="Picture"
          value={id}
          options={pictures.map((one) => ({ value: one.id, label: one.name }))}
          onChange={(next) => {
            setId(next)
            setPalette([])
          }}
        />
        <NumberField
          className="w-[92px]"
          label="Colours"
          unit="colours"
          value={count}
          least={3}
          most={10}
          whole
          onChange={setCount}
        />
        <Toggle label="Palette" pressed={palette.length > 0} onPress={() => void compute(picture, count)} />
        <Toggle label="Pick a colour" pressed={picking} onPress={() => setPicking(!picking)}>
          <span className="flex items-center gap-1">
            <Pipette aria-hidden size={13} strokeWidth={1.5} /> Pick
          </span>
        </Toggle>
      </div>
      {palette.length > 0 && (
        <div className="flex gap-1">
          {palette.map((one) => (
            <Chip key={one.hex} hex={one.hex} note={`${Math.round(one.share * 100)}% of the picture`} {...taking} />
          ))}
        </div>
      )}
      {picking && (
        <div className="relative overflow-hidden" style={{ aspectRatio: `${picture.width} / ${picture.height}` }}>
          <img src={sourceOf(picture)} alt="" className="h-full w-full object-cover" />
          <EyeDropper
            source={sourceOf(picture)}
            onPicked={(hex) => {
              setPicking(false)
              taking.onTake(hex)
            }}
          />
        </div>
      )}
    </div>
  )
}

function FromBoard(taking: Taking) {
  const board = useSession((state) => state.session.site.board)
  const chips = board.filter((one) => one.kind === 'colour')
  if (chips.length === 0) return <p className="text-label text-ink-2">The references board has no colours yet.</p>
  return (
    <div className="flex flex-wrap gap-1">
      {chips.map((one) => (
        <Chip key={one.id} hex={one.hex} note={one.caption} {...taking} />
      ))}
    </div>
  )
}

function FromList(taking: Taking) {
  const [text, setText] = useState('')
  const { colours, unread } = readColourList(text)
  return (
    <div className="space-y-1.5">
      <textarea
        aria-label="Colours, pasted"
        rows={2}
        value={text}
        placeholder="#FFD36B, rgb(26 29 71), oklch(0.7 0.1 200) …"
        className="figure w-full rounded-2 border border-line-strong px-2 py-1 placeholder:text-muted"
        onChange={(event) => setText(event.target.value)}
      />
      <div className="flex flex-wrap gap-1">
        {colours.map((one, i) => (
          <Chip key={`${one.hex}${i}`} hex={one.hex} note={one.name} {...taking} />
        ))}
      </div>
      {unread.length > 0 && <p className="text-label text-rust">No colours: {unread.slice(0, 6).join(', ')}.</p>}
    </div>
  )
}
