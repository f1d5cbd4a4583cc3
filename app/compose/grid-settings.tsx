import { Grid3x2 } from 'lucide-react'
import { Popover } from 'radix-ui'
import { IconButton } from '../ui/button'
import { later } from '../ui/later'

const GridTable = later(async () => (await import('./grid-table')).GridTable, { takesKeys: true })

/** What opens the breakpoints of the site with the grid of each. */
export function GridSettings() {
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <IconButton label="Breakpoints and grid">
          <Grid3x2 size={16} strokeWidth={1.5} />
        </IconButton>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          aria-label="Breakpoints and grid"
          className="z-40 rounded-2 border border-line-strong bg-panel p-4 shadow-float"
        >
          <GridTable />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
