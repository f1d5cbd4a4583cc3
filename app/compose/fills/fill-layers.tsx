import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core'
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable'
import { GripVertical, X } from 'lucide-react'
import { isFilm } from '#core/picture/picture'
import { type FillKind, type FillLayer, fillLayersToCss, MOST_FILLS, newFillLayer } from '#core/style/fill-layers'
import { Row } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'
import { useSession, useSessionStore } from '../../session/context'
import { Choice } from '../../ui/choice'
import { NumberField } from '../../ui/number-field'
import { FillLayerFields } from './layer-fields'

const KINDS: { value: FillKind; label: string }[] = [
  { value: 'flat', label: 'Flat colour' },
  { value: 'linear', label: 'Linear gradient' },
  { value: 'radial', label: 'Radial gradient' },
  { value: 'conic', label: 'Conic gradient' },
  { value: 'picture', label: 'Picture' },
  { value: 'dots', label: 'Dots' },
  { value: 'lines', label: 'Lines' },
  { value: 'grain', label: 'Grain' },
]
const NAMES = Object.fromEntries(KINDS.map(({ value, label }) => [value, label])) as Record<FillKind, string>

/** The layers that fill a box over its flat fill, the uppermost first: chosen, added, taken out, and reordered by drag. */
export function FillLayers({ style }: { style: StyleAccess }) {
  const store = useSessionStore()
  const pictures = useSession((state) => state.session.site.pictures).filter((one) => !isFilm(one))
  const chosen = useSession((state) => state.fillLayer)
  const layers = style.get('fillLayers') ?? []
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  const open = Math.min(chosen ?? -1, layers.length - 1)
  const choose = (fillLayer: number | null) => store.setState({ fillLayer })
  const set = (next: readonly FillLayer[], gesture?: string) =>
    style.set({ fillLayers: next.length > 0 ? [...next] : null }, gesture)
  const ids = layers.map((_, index) => `layer-${index}`)
  return (
    <div data-sets="fillLayers" className="my-1 border-t border-line pt-1">
      <Row label="Layers" style={style} names={['fillLayers']}>
        <Choice
          className="flex-1"
          label="Add a fill layer"
          placeholder={
            style.isMixed('fillLayers') ? 'mixed' : layers.length >= MOST_FILLS ? `${MOST_FILLS} at most` : 'Add a layer'
          }
          value={null}
          options={layers.length >= MOST_FILLS ? [] : KINDS.filter((one) => one.value !== 'picture' || pictures.length > 0)}
          onChange={(kind) => {
            const made = newFillLayer(kind, pictures[0]?.id)
            if (!made) return
            set([made, ...layers])
            choose(0)
          }}
        />
      </Row>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={({ active, over }) => {
          const [from, to] = [ids.indexOf(String(active.id)), ids.indexOf(String(over?.id ?? active.id))]
          if (from === to) return
          set(arrayMove(layers, from, to))
          choose(to)
        }}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          {layers.map((layer, index) => (
            <LayerRow
              key={ids[index]}
              id={ids[index]!}
              layer={layer}
              open={index === open}
              onOpen={() => choose(index === open ? null : index)}
              onRemove={() => {
                set(layers.filter((_, at) => at !== index))
                choose(null)
              }}
              onChange={(next, gesture) =>
                set(
                  layers.map((one, at) => (at === index ? next : one)),
                  gesture,
                )
              }
            />
          ))}
        </SortableContext>
      </DndContext>
    </div>
  )
}

type LayerRowProps = {
  id: string
  layer: FillLayer
  open: boolean
  onOpen: () => void
  onRemove: () => void
  onChange: (next: FillLayer, gesture?: string) => void
}

function LayerRow({ id, layer, open, onOpen, onRemove, onChange }: LayerRowProps) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id })
  const name = NAMES[layer.kind]
  return (
    <div
      ref={setNodeRef}
      className={`my-0.5 rounded-2 border ${open ? 'border-ink' : 'border-line-strong'} bg-field`}
      style={{ transform: transform ? `translateY(${transform.y}px)` : undefined, transition }}
    >
      <div className="flex h-7 items-center gap-1.5 pr-1">
        <button
          type="button"
          {...attributes}
          {...listeners}
          aria-label={`Move ${name}`}
          title="Drag to another place among the layers"
          className="flex h-6 w-6 shrink-0 cursor-grab touch-none items-center justify-center text-muted hover:text-ink"
        >
          <GripVertical size={12} />
        </button>
        <Swatch layer={layer} />
        <button type="button" aria-expanded={open} className="min-w-0 flex-1 truncate text-left" onClick={onOpen}>
          {name}
        </button>
        <NumberField
          className="w-[58px]"
          label={`Opacity of ${name}`}
          unit="%"
          value={Math.round((layer.opacity ?? 1) * 100)}
          least={0}
          most={100}
          step={5}
          onChange={(percent) => onChange({ ...layer, opacity: percent / 100 })}
        />
        <button
          type="button"
          aria-label={`Take out ${name}`}
          title="Take the layer out"
          className="flex h-6 w-6 shrink-0 items-center justify-center text-muted hover:text-rust"
          onClick={onRemove}
        >
          <X size={12} />
        </button>
      </div>
      {open && <FillLayerFields layer={layer} onChange={onChange} />}
    </div>
  )
}

/** A layer as it looks, over chequers where it lets through. */
function Swatch({ layer }: { layer: FillLayer }) {
  const { guide, pictures } = useSession((state) => state.session.site)
  const picture = (id: string) => {
    const found = pictures.find((one) => one.id === id)
    return found && { one: `/pictures/${found.hash}?w=160` }
  }
  const { blend: _, ...plain } = layer
  const shown = Object.fromEntries(
    fillLayersToCss([plain as FillLayer], picture).map(([name, value]) => [
      name.replace(/-(\w)/g, (__, letter: string) => letter.toUpperCase()),
      value,
    ]),
  )
  const roles = Object.fromEntries(guide.colours.map(({ role, hex }) => [`--${role}`, hex]))
  return (
    <span
      aria-hidden
      className="h-[18px] w-[30px] shrink-0 overflow-hidden rounded-2 border border-line-strong"
      style={{ background: 'repeating-conic-gradient(#d9d9d9 0 25%, #fff 0 50%) 0 0 / 8px 8px' }}
    >
      <span className="block h-full w-full" style={{ ...roles, ...shown }} />
    </span>
  )
}
