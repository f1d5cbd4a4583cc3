import { useSelected } from '../../fields/use-style'
import { useSession } from '../../session/context'
import { pageOf } from '../../session/store'
import { later } from '../../ui/later'

/** Loaded when a block is first selected, or when the browser rests. */
const PageColumn = later(async () => (await import('./page-column')).PageColumn)
export const BlockTray = later(async () => (await import('./block-tray')).BlockTray)

/** The settings of the selected block, in columns: as many side by side as fit, the rest by tabs. */
export function Tray() {
  const places = useSelected()
  return (
    <div className="flex h-full border-t border-ink bg-panel" aria-label="Tray" role="region">
      {places.length > 0 ? <BlockTray key={places.map((one) => one.block.id).join()} places={places} /> : <PageTray />}
    </div>
  )
}

function PageTray() {
  const page = useSession(pageOf)
  return (
    <>
      <div className="w-[212px] shrink-0 border-r border-line bg-ground p-3.5">
        <h3 className="font-semibold">{page.name}</h3>
        <p className="mt-2 text-label text-ink-2">
          Select a block in a view or in the running order to set it. Double-click words to edit them.
        </p>
        <p className="mt-2 text-label text-ink-2">
          <kbd className="figure">?</kbd> shows all keys, <kbd className="figure">/</kbd> finds everything by name.
        </p>
      </div>
      <div className="relative min-w-0 flex-1 overflow-auto p-3.5">
        <PageColumn page={page} />
      </div>
    </>
  )
}
