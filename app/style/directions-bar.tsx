import { ChevronDown, Columns2, Copy, Star, Trash2 } from 'lucide-react'
import { DropdownMenu, Popover } from 'radix-ui'
import { isFilm } from '#core/picture/picture'
import { currentOf, type Direction, guideOf } from '#core/site/directions'
import type { Site } from '#core/site/schema'
import { useSessionStore, useSession } from '../session/context'
import { edit, makeId } from '../session/store'
import { Toggle } from './part'

const ITEM =
  'flex h-7 cursor-default items-center gap-2 rounded-2 px-2 outline-none data-[highlighted]:bg-ground data-[disabled]:text-muted'
const MENU = 'z-50 min-w-44 rounded-2 border border-line-strong bg-field p-1 shadow-float'

/** What the right of the Style screen shows: the chosen direction, all of them, or guides to begin with. */
export type Showing = 'page' | 'compared' | 'first'
type BarProps = { chosen: string; onChoose: (id: string) => void; showing: Showing; onShow: (showing: Showing) => void }

/** The directions of the site as tabs; the current one has a dot. */
export function DirectionsBar({ chosen, onChoose, showing, onShow }: BarProps) {
  const site = useSession((state) => state.session.site)
  const current = currentOf(site).id
  return (
    <div className="flex h-9 shrink-0 items-center gap-1 border-b border-line-strong px-3" role="group" aria-label="Directions">
      <span className="flex min-w-0 gap-1 overflow-x-auto">
        {site.directions.map((one) => (
          <Toggle key={one.id} label={one.name} pressed={chosen === one.id && showing === 'page'} onPress={() => onChoose(one.id)}>
            <span className="flex items-center gap-1.5">
              {one.id === current && (
                <>
                  <span aria-hidden className="h-2 w-2 rounded-full bg-yarrow" />
                  <span className="sr-only">current: </span>
                </>
              )}
              {one.name}
            </span>
          </Toggle>
        ))}
      </span>
      <Tools site={site} chosen={chosen} onChoose={onChoose} />
      <span className="flex-1" />
      <Toggle label="First guides" pressed={showing === 'first'} onPress={() => onShow(showing === 'first' ? 'page' : 'first')} />
      <Toggle
        label="Side by side"
        pressed={showing === 'compared'}
        onPress={() => onShow(showing === 'compared' ? 'page' : 'compared')}
      >
        <span className="flex items-center gap-1.5">
          <Columns2 aria-hidden size={14} strokeWidth={1.5} /> <span className="max-xl:sr-only">Side by side</span>
        </span>
      </Toggle>
    </div>
  )
}

function Tools({ site, chosen, onChoose }: { site: Site; chosen: string; onChoose: (id: string) => void }) {
  const store = useSessionStore()
  const direction = site.directions.find((one) => one.id === chosen) ?? currentOf(site)
  const isCurrent = !direction.guide
  const duplicate = () => {
    const copy = { ...direction, id: makeId(), name: copyName(site, direction.name), guide: guideOf(site, direction.id) }
    if (edit(store, { kind: 'direction-add', index: site.directions.indexOf(direction) + 1, direction: copy })) onChoose(copy.id)
  }
  return (
    <>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger
          aria-label={`What can be done with ${direction.name}`}
          className="flex h-[26px] w-6 items-center justify-center rounded-2 text-ink-2 hover:bg-line/60"
        >
          <ChevronDown size={14} strokeWidth={1.5} />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content align="start" sideOffset={4} className={MENU}>
            <DropdownMenu.Item className={ITEM} onSelect={duplicate}>
              <Copy size={14} strokeWidth={1.5} /> Duplicate and change
            </DropdownMenu.Item>
            <DropdownMenu.Item
              className={ITEM}
              disabled={isCurrent}
              onSelect={() => edit(store, { kind: 'direction-current', direction: direction.id })}
            >
              <Star size={14} strokeWidth={1.5} /> {isCurrent ? 'Is current' : 'Make current'}
            </DropdownMenu.Item>
            <DropdownMenu.Item
              className={ITEM}
              disabled={isCurrent}
              onSelect={() => edit(store, { kind: 'direction-remove', direction: direction.id }) && onChoose(currentOf(site).id)}
            >
              <Trash2 size={14} strokeWidth={1.5} /> Delete
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      <About direction={direction} />
    </>
  )
}

/** A name that no direction has, with a number behind it. */
export function copyName(site: Site, name: string): string {
  const taken = new Set(site.directions.map((one) => one.name))
  let n = 2
  while (taken.has(`${name} ${n}`)) n++
  return `${name} ${n}`.slice(0, 80)
}

/** Name, note and mood pictures of a direction. */
function About({ direction }: { direction: Direction }) {
  const store = useSessionStore()
  const pictures = useSession((state) => state.session.site.pictures).filter((one) => !isFilm(one))
  const put = (values: Partial<Pick<Direction, 'name' | 'note' | 'mood'>>) =>
    edit(store, { kind: 'direction-field', direction: direction.id, values })
  return (
    <Popover.Root>
      <Popover.Trigger className="h-[26px] rounded-2 px-2 text-ink-2 hover:bg-line/60">About</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={4}
          aria-label={`About ${direction.name}`}
          className="z-50 w-[340px] space-y-2 rounded-2 border border-line-strong bg-field p-3 shadow-float"
        >
          <input
            key={`${direction.id} name`}
            aria-label="Name of the direction"
            defaultValue={direction.name}
            maxLength={80}
            className="h-[28px] w-full rounded-2 border border-line-strong px-2 font-semibold"
            onBlur={(event) =>
              event.target.value.trim() !== '' && event.target.value !== direction.name && put({ name: event.target.value.trim() })
            }
          />
          <textarea
            key={`${direction.id} note`}
            aria-label="Note on the direction"
            rows={4}
            defaultValue={direction.note}
            maxLength={4000}
            placeholder="What this try is after"
            className="w-full rounded-2 border border-line-strong px-2 py-1"
            onBlur={(event) => event.target.value !== direction.note && put({ note: event.target.value })}
          />
          <p className="text-label text-ink-2">Pictures behind it</p>
          <div className="relative grid max-h-44 grid-cols-4 gap-1 overflow-y-auto">
            {pictures.map((one) => {
              const chosen = direction.mood.includes(one.id)
              return (
                <button
                  key={one.id}
                  type="button"
                  aria-label={`Mood picture ${one.name}`}
                  aria-pressed={chosen}
                  className="aspect-[3/2] overflow-hidden border-2 border-transparent aria-pressed:border-yarrow"
                  onClick={() =>
                    put({ mood: chosen ? direction.mood.filter((id) => id !== one.id) : [...direction.mood, one.id].slice(-24) })
                  }
                >
                  <img
                    src={`/pictures/${one.hash}${one.type === 'image/svg+xml' ? '' : '?w=160'}`}
                    alt=""
                    className={`h-full w-full object-cover ${chosen ? '' : 'opacity-60'}`}
                  />
                </button>
              )
            })}
          </div>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
