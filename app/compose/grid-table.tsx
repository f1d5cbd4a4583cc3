import { Trash2 } from 'lucide-react'
import { columnWidth } from '#core/grid/columns'
import type { Breakpoint } from '#core/grid/breakpoint'
import { Button, IconButton } from '../ui/button'
import { NumberField } from '../ui/number-field'
import { useSessionStore, useSession } from '../session/context'
import { edit, makeId } from '../session/store'

const FIELDS = [
  { name: 'columns', label: 'Columns', least: 1, most: 24 },
  { name: 'gutter', label: 'Gutter', least: 0, most: 200 },
  { name: 'margin', label: 'Margin', least: 0, most: 400 },
  { name: 'container', label: 'Container', least: 200, most: 4000 },
] as const

/** A width in the range of a breakpoint, for figures: one of the views if any stands there. */
function sampleWidth(breakpoints: readonly Breakpoint[], index: number, views: readonly number[]): number {
  const upper = breakpoints[index]!.below ?? Infinity
  const lower = breakpoints[index + 1]?.below ?? 0
  return views.find((width) => width >= lower && width < upper) ?? (upper === Infinity ? lower + 256 : upper - 1)
}

/** The breakpoints of the site with the grid of each, as a table of figures. */
export function GridTable() {
  const store = useSessionStore()
  const breakpoints = useSession((state) => state.session.site.breakpoints)
  const views = useSession((state) => state.session.site.views)
  const set = (next: Breakpoint[]) => edit(store, { kind: 'site', field: 'breakpoints', value: next })
  const change = (one: Breakpoint, values: Partial<Breakpoint>) =>
    set(breakpoints.map((other) => (other === one ? { ...one, ...values } : other)))
  const last = breakpoints.at(-1)!
  const nextWidth = last.below === null ? 1024 : Math.round(last.below * 0.72)

  return (
    <>
      <h2 className="mb-2 text-ui font-semibold">Breakpoints and grid</h2>
      <table>
        <thead>
          <tr className="text-left text-label text-ink-2">
            <th className="pr-2 font-normal">Below</th>
            {FIELDS.map((field) => (
              <th key={field.name} className="px-1 font-normal">
                {field.label}
              </th>
            ))}
            <th className="px-2 font-normal">One column</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {breakpoints.map((one, index) => {
            const sample = sampleWidth(breakpoints, index, views)
            return (
              <tr key={one.id} className="border-t border-line">
                <td className="py-1.5 pr-2">
                  {one.below === null ? (
                    <span className="text-ink-2">All widths</span>
                  ) : (
                    <NumberField
                      label={`Breakpoint ${index}, below`}
                      unit="px"
                      value={one.below}
                      least={(breakpoints[index + 1]?.below ?? 240) + 1}
                      most={(breakpoints[index - 1]!.below ?? 4001) - 1}
                      whole
                      onChange={(below) => change(one, { below })}
                    />
                  )}
                </td>
                {FIELDS.map((field) => (
                  <td key={field.name} className="w-24 p-1">
                    <NumberField
                      label={`${field.label}, ${one.below === null ? 'all widths' : `below ${one.below}`}`}
                      unit={field.name === 'columns' ? '' : 'px'}
                      value={one[field.name]}
                      least={field.least}
                      most={field.most}
                      whole={field.name === 'columns'}
                      onChange={(value) => change(one, { [field.name]: value })}
                    />
                  </td>
                ))}
                <td className="figure px-2 text-muted">
                  {Number(columnWidth(one, sample).toFixed(2))} px at {sample}
                </td>
                <td>
                  {one.below !== null && (
                    <IconButton
                      label={`Remove the breakpoint below ${one.below}`}
                      onClick={() => set(breakpoints.filter((other) => other !== one))}
                    >
                      <Trash2 size={14} strokeWidth={1.5} />
                    </IconButton>
                  )}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
      <div className="mt-3 flex items-center gap-3">
        <Button
          disabled={nextWidth < 260 || breakpoints.length >= 12}
          onClick={() => set([...breakpoints, { ...last, id: makeId(), below: nextWidth }])}
        >
          Add below {nextWidth} px
        </Button>
        <p className="text-label text-ink-2">Exceptions of a removed breakpoint are kept and come back with undo.</p>
      </div>
    </>
  )
}
