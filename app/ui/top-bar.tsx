import { ChevronDown } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import type { ReactNode } from 'react'
import { Link, NavLink } from 'react-router'
import { Floret } from './florets'

/** A step of the path, and whether it is complete. */
export type Step = { name: string; to: string; complete: boolean; what: string }

type TopBarProps = {
  siteName: string
  pageName: string
  pages: { id: string; name: string; to: string }[]
  steps: Step[]
  /** Opens the list of all pages, where the screen has one. */
  onPages?: (() => void) | undefined
  children?: ReactNode
}

/** The bar across the top: site, page, the steps of the work, and what the screen puts at the right. */
export function TopBar({ siteName, pageName, pages, steps, onPages, children }: TopBarProps) {
  return (
    <header className="on-ink flex h-11 shrink-0 items-stretch bg-ink text-on-ink">
      <div className="flex min-w-0 flex-1 items-center gap-3 pl-3.5">
        <Link to="/" aria-label="All sites" title="All sites">
          <Floret />
        </Link>
        <span className="truncate text-[14px] font-semibold">{siteName}</span>
        <DropdownMenu.Root>
          <DropdownMenu.Trigger className="flex items-center gap-1 whitespace-nowrap text-on-ink-2 hover:text-on-ink">
            {pageName} <ChevronDown size={12} />
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content
              align="start"
              sideOffset={8}
              className="z-50 min-w-44 rounded-2 border border-line-strong bg-field p-1 text-ink shadow-float"
            >
              {pages.map((page) => (
                <DropdownMenu.Item
                  key={page.id}
                  asChild
                  className="flex h-7 items-center rounded-2 px-2 outline-none data-[highlighted]:bg-ground"
                >
                  <Link to={page.to}>{page.name}</Link>
                </DropdownMenu.Item>
              ))}
              {onPages && (
                <DropdownMenu.Item
                  className="mt-1 flex h-7 cursor-default items-center rounded-2 border-t border-line px-2 outline-none data-[highlighted]:bg-ground"
                  onSelect={onPages}
                >
                  All pages …
                </DropdownMenu.Item>
              )}
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      </div>
      <nav aria-label="Path of the work" className="flex items-stretch border-l border-ink-2/40">
        {steps.map((step) => (
          <NavLink
            key={step.name}
            to={step.to}
            title={step.what}
            className={({ isActive }) =>
              `flex items-center gap-2 border-r border-ink-2/40 px-3 ${isActive ? 'bg-ground font-semibold text-ink' : 'text-on-ink-2 hover:text-on-ink'}`
            }
          >
            <span
              aria-hidden
              className={`h-2 w-2 rounded-full border ${step.complete ? 'border-yarrow bg-yarrow' : 'border-current'}`}
            />
            {step.name}
            <span className="sr-only">{step.complete ? ', complete' : ''}</span>
          </NavLink>
        ))}
      </nav>
      <div className="flex flex-1 items-center justify-end gap-4 pr-3.5">{children}</div>
    </header>
  )
}
