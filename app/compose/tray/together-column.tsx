import { topmost } from '#core/many/chosen'
import type { Place } from '#core/site/tree'
import { SelectionTools } from './selection-tools'
import { WidthsToEdit } from './widths-to-edit'

/** How many of each kind: “2 headings, 1 text”. */
function kindsInWords(places: readonly Place[]): string {
  const counts = new Map<string, number>()
  for (const { block } of places) counts.set(block.kind, (counts.get(block.kind) ?? 0) + 1)
  return [...counts].map(([kind, count]) => `${count} ${kind}${count === 1 ? '' : 's'}`).join(', ')
}

/** Several selected blocks, and the widths that their settings are for. */
export function TogetherColumn({ places }: { places: readonly Place[] }) {
  const inside = places.length - topmost(places).length
  return (
    <>
      <h3 className="font-semibold">{places.length} blocks</h3>
      <p className="text-label text-ink-2">
        {kindsInWords(places)}
        {inside > 0 && `; ${inside} of them inside others that are selected`}
      </p>
      <SelectionTools
        hidden={places.every((one) => one.block.hidden)}
        locked={places.every((one) => one.block.locked)}
        groups={places.every((one) => one.block.kind !== 'section')}
      />
      <WidthsToEdit blocks={places.map((one) => one.block)} />
      <p className="mt-2 text-label text-ink-2">What is set here is set for all of them, and is one step to undo.</p>
    </>
  )
}
