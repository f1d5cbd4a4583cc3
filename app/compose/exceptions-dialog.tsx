import { MoreHorizontal } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import {
  clearEdits,
  copyEdits,
  type ExceptionRow,
  exceptionRows,
  makeBaseEdits,
  sameAsBaseEdits,
  setEdits,
} from '#core/analysis/exceptions'
import type { Edit } from '#core/edits/index'
import { topmost } from '#core/many/chosen'
import { propertyOf } from '#core/style/registry'
import { valueInWords } from '../fields/value-in-words'
import { useSession, useSessionStore } from '../session/context'
import { groupName } from '#core/blocks/name-with-words'
import { allSelected, editAll, select } from '../session/store'
import { ExceptionField, hasOneField } from './exception-field'
import { TitledDialog } from '../ui/dialog'

/** Every exception of the selected blocks and of what they hold: rows are properties, columns ranges of widths. */
export function ExceptionsDialog({ onClose }: { onClose: () => void }) {
  const store = useSessionStore()
  const site = useSession((state) => state.session.site)
  const places = useSession(allSelected)
  // What lies inside another that is selected stands among that one's rows.
  const rows = topmost(places).flatMap((place) => exceptionRows(site, place.block))
  const ranges = site.breakpoints.map((one) => (one.below === null ? 'All widths' : `Below ${one.below}`))
  const make = (label: string, edits: Edit[]) => void editAll(store, label, edits)
  const labelOf = ({ property }: ExceptionRow) => (property === 'picture' ? 'Picture' : propertyOf(property).label)
  const inWords = ({ property }: ExceptionRow, value: unknown) =>
    property === 'picture' ? (site.pictures.find((one) => one.id === value)?.name ?? 'None') : valueInWords(value)
  const name = places.length === 1 ? groupName(places[0]!.block, site.language) : `${places.length} blocks`
  return (
    <TitledDialog title={`Exceptions of ${name}`} className="top-[8vh] flex max-h-[84vh] w-[960px] flex-col" onClose={onClose}>
      <p className="mb-3 text-ink-2">
        {rows.length === 0
          ? 'Nothing differs at any width. Choose a range of widths in the tray, and what is set then is an exception.'
          : 'What differs at some range of widths. A value in ink is set there; where none is, the wider range’s holds. Type or choose another.'}
      </p>
      {rows.length > 0 && (
        <div className="relative min-h-0 flex-1 overflow-auto border border-line" role="group" aria-label="Table of exceptions">
          <table className="w-full border-collapse text-left">
            <thead className="sticky top-0 bg-panel">
              <tr>
                <th scope="col" className="border-b border-line px-2 py-1.5 font-normal text-ink-2">
                  Block
                </th>
                <th scope="col" className="border-b border-line px-2 font-normal text-ink-2">
                  Property
                </th>
                {ranges.map((range, at) => (
                  <th key={range} scope="col" className="border-b border-l border-line px-2 font-semibold">
                    <span className="flex items-center justify-between">
                      {range}
                      <Actions name={`All ${range.toLowerCase()}`} all rows={rows} at={at} ranges={ranges} make={make} />
                    </span>
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((row, n) => (
                <tr key={`${row.block.id} ${row.property}`} className="border-b border-line last:border-0">
                  <th scope="row" className="px-2 font-normal">
                    {rows[n - 1]?.block.id !== row.block.id && (
                      <button
                        type="button"
                        className="min-h-6 underline decoration-line-strong hover:decoration-ink"
                        onClick={() => {
                          onClose()
                          select(store, row.block.id)
                        }}
                      >
                        {groupName(row.block, site.language)}
                      </button>
                    )}
                  </th>
                  <td className="px-2 text-ink-2">{labelOf(row)}</td>
                  {row.cells.map((cell, at) => (
                    <td key={ranges[at]} className="border-l border-line px-2">
                      <span className="flex min-h-7 items-center justify-between gap-1">
                        {row.property !== 'picture' && hasOneField(row.property) ? (
                          <span className="flex min-w-0 flex-1">
                            <ExceptionField
                              property={row.property}
                              label={`${labelOf(row)} of ${groupName(row.block, site.language)}, ${ranges[at]!.toLowerCase()}, value`}
                              own={cell.own}
                              holds={cell.holds}
                              onChange={(value) =>
                                make(`${labelOf(row).toLowerCase()}: ${ranges[at]!.toLowerCase()}`, setEdits(row, at, value))
                              }
                            />
                          </span>
                        ) : (
                          <span className={`figure ${cell.own === undefined ? 'text-muted' : 'font-semibold'}`}>
                            {inWords(row, cell.holds)}
                          </span>
                        )}
                        <Actions
                          name={`${labelOf(row)} of ${groupName(row.block, site.language)}, ${ranges[at]!.toLowerCase()}`}
                          rows={[row]}
                          at={at}
                          ranges={ranges}
                          make={make}
                        />
                      </span>
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </TitledDialog>
  )
}

type ActionsProps = {
  name: string
  rows: readonly ExceptionRow[]
  at: number
  ranges: readonly string[]
  all?: boolean
  make: (label: string, edits: Edit[]) => void
}

/** What can be done with the values of one range: of one property, or of all. */
function Actions({ name, rows, at, ranges, all = false, make }: ActionsProps) {
  const range = ranges[at]!.toLowerCase()
  const options = [
    ...(at > 0
      ? [
          { name: 'Take the exception away', edits: () => clearEdits(rows, at) },
          { name: 'Same as the base', edits: () => sameAsBaseEdits(rows, at) },
          { name: 'Make this the base', edits: () => makeBaseEdits(rows, at) },
        ]
      : []),
    ...ranges.flatMap((other, to) =>
      to === at || to === 0 ? [] : [{ name: `Copy to ${other.toLowerCase()}`, edits: () => copyEdits(rows, at, to) }],
    ),
  ]
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        aria-label={name}
        className="flex h-6 w-6 shrink-0 items-center justify-center rounded-2 text-ink-2 hover:bg-ground hover:text-ink"
      >
        <MoreHorizontal size={14} strokeWidth={1.5} />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={2}
          className="z-50 min-w-44 rounded-2 border border-line-strong bg-field p-1 shadow-float"
        >
          {options.map((option) => (
            <DropdownMenu.Item
              key={option.name}
              className="flex h-7 cursor-default items-center rounded-2 px-2 outline-none data-[highlighted]:bg-ground data-[disabled]:text-muted"
              disabled={option.edits().length === 0}
              onSelect={() => make(`${option.name.toLowerCase()}: ${range}`, option.edits())}
            >
              {all ? option.name.replace('the exception', 'all exceptions') : option.name}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}
