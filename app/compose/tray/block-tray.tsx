import { ChevronLeft } from 'lucide-react'
import { type ReactNode, useEffect, useRef, useState } from 'react'
import { type Block, hasTrait } from '#core/blocks/index'
import { showsOne } from '#core/blocks/panel'
import { hasWords } from '#core/blocks/tree'
import type { Place } from '#core/site/tree'
import { copyAround } from '#core/shared/copies'
import { useStyle } from '../../fields/use-style'
import { useSession, useSessionStore } from '../../session/context'
import { toggleColumn } from '../../session/desk'
import { blockName } from '#core/blocks/block-name'
import { useAfterPaint } from '../../ui/lagging'
import { ChangeColumn } from './change-column'
import { ExtrasColumn, extrasName } from './extras-column'
import { MotionColumn } from './motion-column'
import { MotionPoses } from './motion-poses'
import { MotionRange } from './motion-range'
import { PictureColumn } from './picture-column'
import { PlaceColumn } from './place-column'
import { ScopeColumn } from './scope-column'
import { SharedColumn } from './shared-column'
import { StatesColumn } from './states-column'
import { TogetherColumn } from './together-column'
import { SurfaceColumn } from './surface-column'
import { TypeColumn } from './type-column'
import { WordsColumn } from './words-column'

type TrayColumn = { name: string; show: () => ReactNode }

/** Width of a column that is folded, px. */
const STRIP = 26
/** Width of one column of the tray, px. */
const COLUMN = 264

/** The settings of the selected blocks, in columns: as many side by side as fit, the rest by tabs. */
export function BlockTray({ places: newest }: { places: readonly Place[] }) {
  // The views come first; the fields follow in the same breath.
  const places = useAfterPaint(newest)
  const style = useStyle(places)
  const { block } = style.place
  const ruler = useSession((state) => state.scrollRuler)
  const one = places.length === 1
  const every = (has: (block: Block) => boolean) => places.every((place) => has(place.block))
  const columns: TrayColumn[] = []
  if (one && copyAround(style.place)) columns.push({ name: 'Shared', show: () => <SharedColumn place={style.place} /> })
  columns.push({ name: 'Place', show: () => <PlaceColumn style={style} /> })
  if (block.kind === 'picture' && every(({ kind }) => kind === 'picture'))
    columns.push({ name: 'Picture', show: () => <PictureColumn block={block} style={style} /> })
  const extras = extrasName(block.kind)
  if (extras && one) columns.push({ name: extras, show: () => <ExtrasColumn block={block} /> })
  if (one && showsOne(block)) columns.push({ name: 'Change', show: () => <ChangeColumn block={block} /> })
  if (every(({ kind }) => hasTrait(kind, 'type') || kind === 'form'))
    columns.push({ name: 'Type', show: () => <TypeColumn style={style} /> })
  columns.push({ name: 'Surface', show: () => <SurfaceColumn style={style} /> })
  if (hasWords(block) && one) columns.push({ name: 'Words', show: () => <WordsColumn block={block} /> })
  columns.push({ name: 'States', show: () => <StatesColumn style={style} /> })
  // While the scroll ruler stands, motion is what is worked on.
  if (one && ruler) columns.unshift(...motionColumns(block, ruler))
  else if (one) columns.push(...motionColumns(block, ruler))
  return (
    <>
      <div className="relative w-[212px] shrink-0 overflow-y-auto border-r border-line bg-ground p-3.5">
        {one ? <ScopeColumn place={style.place} /> : <TogetherColumn places={places} />}
      </div>
      <Columns columns={columns} name={one ? blockName(block) : `${places.length} blocks`} />
    </>
  )
}

/** What is asked about motion: in one tab, or first and side by side while the scroll ruler stands. */
function motionColumns(block: Block, ruler: boolean): TrayColumn[] {
  const motion = { name: 'Motion', show: () => <MotionColumn block={block} /> }
  if (!ruler) return [motion]
  return [
    motion,
    { name: 'Range', show: () => <MotionRange block={block} /> },
    { name: 'From, to', show: () => <MotionPoses block={block} /> },
  ]
}

function Columns({ columns, name }: { columns: TrayColumn[]; name: string }) {
  const element = useRef<HTMLDivElement>(null)
  const store = useSessionStore()
  const chosen = useSession((state) => state.trayTab)
  const folded = useSession((state) => state.foldedColumns)
  const [width, setWidth] = useState(4 * COLUMN)
  useEffect(() => {
    const measure = () => setWidth(element.current!.clientWidth)
    const observer = new ResizeObserver(measure)
    observer.observe(element.current!)
    measure()
    return () => observer.disconnect()
  }, [])
  const strips = columns.filter((one) => folded.includes(one.name))
  const open = columns.filter((one) => !folded.includes(one.name))
  const fit = Math.max(1, Math.floor((width - strips.length * STRIP) / COLUMN))
  const all = open.length <= fit
  const fixed = all ? open : open.slice(0, fit - 1)
  const rest = all ? [] : open.slice(fit - 1)
  const tab = rest.find((one) => one.name === chosen) ?? rest[0]
  return (
    <div ref={element} className="flex min-w-0 flex-1 overflow-clip">
      {fixed.map((column) => (
        <section
          key={column.name}
          aria-label={`${column.name} of ${name}`}
          className="relative min-w-0 max-w-[320px] flex-1 overflow-y-auto border-r border-line px-3.5 py-3"
        >
          <button
            type="button"
            aria-label={`Fold ${column.name}`}
            title={`Fold ${column.name}`}
            className="absolute right-0 top-2 flex h-6 w-3.5 items-center justify-center text-muted hover:text-ink"
            onClick={() => toggleColumn(store, column.name)}
          >
            <ChevronLeft size={12} />
          </button>
          {column.show()}
        </section>
      ))}
      {tab && (
        <section aria-label={`${tab.name} of ${name}`} className="flex min-w-0 max-w-[320px] flex-1 flex-col">
          <div role="tablist" aria-label="More settings" className="flex shrink-0 border-b border-line bg-ground">
            {rest.map((column) => (
              <button
                key={column.name}
                type="button"
                role="tab"
                aria-selected={column === tab}
                className="flex-1 border-r border-line px-2 py-1 text-label text-ink-2 last:border-r-0 aria-selected:bg-panel aria-selected:font-semibold aria-selected:text-ink"
                onClick={() => store.setState({ trayTab: column.name })}
              >
                {column.name}
              </button>
            ))}
          </div>
          <div className="relative min-h-0 flex-1 overflow-y-auto px-3.5 py-2">{tab.show()}</div>
        </section>
      )}
      {strips.map(({ name: title }) => (
        <button
          key={title}
          type="button"
          aria-label={`Unfold ${title}`}
          title={`Unfold ${title}`}
          className="flex shrink-0 items-start justify-center border-r border-line bg-ground pt-3 hover:bg-panel"
          style={{ width: STRIP }}
          onClick={() => toggleColumn(store, title)}
        >
          <span className="[writing-mode:vertical-rl] text-label">{title}</span>
        </button>
      ))}
    </div>
  )
}
