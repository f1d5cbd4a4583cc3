import { useState } from 'react'
import { columnWidth } from '#core/grid/columns'
import { FLUID_CONTAINER, GRID_PRESETS, solveGrid, type WholeGrid } from '#core/grid/solve'
import type { Breakpoint } from '#core/grid/breakpoint'
import { useSessionStore, useSession } from '../session/context'
import { edit } from '../session/store'
import { Button } from '../ui/button'
import { NumberField } from '../ui/number-field'
import { NumberIn } from './fields'
import { Heading, Part } from './part'

type Measure = 'columns' | 'gutter' | 'margin' | 'container'
const MEASURES: { name: Measure; label: string; least: number; most: number; unit: string }[] = [
  { name: 'columns', label: 'Columns', least: 1, most: 24, unit: '' },
  { name: 'gutter', label: 'Gutter', least: 0, most: 200, unit: 'px' },
  { name: 'margin', label: 'Margin', least: 0, most: 400, unit: 'px' },
  { name: 'container', label: 'Container', least: 200, most: 4000, unit: 'px' },
]

/** The column grid below each breakpoint, by known arithmetic or by a solver for whole px. */
export function GridPart({ number }: { number: number }) {
  const store = useSessionStore()
  const breakpoints = useSession((state) => state.session.site.breakpoints)
  const views = useSession((state) => state.session.site.views)
  const change = (index: number, values: Partial<Breakpoint>) =>
    edit(store, {
      kind: 'site',
      field: 'breakpoints',
      value: breakpoints.map((one, i) => (i === index ? { ...one, ...values } : one)),
    })
  const take = ({ columns, gutter, container }: Pick<WholeGrid, 'columns' | 'gutter' | 'container'>) =>
    change(0, { columns, gutter, container })
  const [base] = breakpoints
  return (
    <Part number={number} title="Grid" note={`${base!.columns} columns in at most ${base!.container} px`}>
      <table className="w-full text-left">
        <thead>
          <tr className="text-label text-ink-2">
            <th className="font-normal">Widths</th>
            {MEASURES.map((one) => (
              <th key={one.name} className="font-normal">
                {one.label}
              </th>
            ))}
            <th className="font-normal">One column</th>
          </tr>
        </thead>
        <tbody>
          {breakpoints.map((one, index) => {
            const next = breakpoints[index + 1]?.below
            const at = views.find((width) => width < (one.below ?? Infinity) && width >= (next ?? 0)) ?? one.below ?? views[0]!
            return (
              <tr key={one.id}>
                <td className="figure pr-2">{one.below === null ? 'all' : `below ${one.below}`}</td>
                {MEASURES.map(({ name, label, least, most, unit }) => (
                  <td key={name} className="py-0.5 pr-1.5">
                    <NumberField
                      className="w-[78px]"
                      label={`${label}, ${one.below === null ? 'all widths' : `below ${one.below}`}`}
                      unit={unit}
                      value={one[name]}
                      least={least}
                      most={most}
                      whole={name === 'columns'}
                      onChange={(value) => change(index, { [name]: value })}
                    />
                  </td>
                ))}
                <td className="figure whitespace-nowrap text-ink-2">
                  {Number(columnWidth(one, at).toFixed(2))} px at {at}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
      <Heading>Known grids</Heading>
      <div className="flex flex-wrap gap-1.5">
        {GRID_PRESETS.map((one) => (
          <Button
            key={one.name}
            className="!h-[26px]"
            title={`${one.columns} × ${one.column} px and gutters of ${one.gutter} px make ${one.container} px`}
            onClick={() => take(one)}
          >
            {one.name} <span className="figure text-muted">{`${one.columns} × ${one.column} + ${one.gutter}`}</span>
          </Button>
        ))}
        <Button className="!h-[26px]" onClick={() => change(0, { container: FLUID_CONTAINER })}>
          Fluid <span className="text-label text-muted">as wide as the window</span>
        </Button>
      </div>
      <Solver onTake={take} />
    </Part>
  )
}

function Solver({ onTake }: { onTake: (grid: WholeGrid) => void }) {
  const [columns, setColumns] = useState(12)
  const [most, setMost] = useState(1200)
  const grids = solveGrid(columns, most)
  return (
    <>
      <Heading>Whole px</Heading>
      <div className="flex items-end gap-2">
        <NumberIn
          label="Columns"
          name="Columns to solve for"
          width="w-[64px]"
          value={columns}
          least={1}
          most={24}
          whole
          onChange={setColumns}
        />
        <NumberIn
          label="In at most"
          name="Greatest width"
          width="w-[90px]"
          unit="px"
          value={most}
          least={200}
          most={4000}
          whole
          onChange={setMost}
        />
        <p className="flex-1 self-end text-label text-ink-2">
          {grids.length === 0 ? 'No columns of whole px fit.' : `${grids.length} grids of whole px, the widest first.`}
        </p>
      </div>
      <div className="mt-2 flex flex-wrap gap-1.5">
        {grids.map((one) => (
          <Button key={one.gutter} className="!h-[26px]" data-grid={one.container} onClick={() => onTake(one)}>
            <span className="figure">
              {one.columns} × {one.column} + {one.gutter}
            </span>
            <span className="figure text-muted">{one.container} px</span>
          </Button>
        ))}
      </div>
    </>
  )
}
