import { ChevronDown } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { Floret } from './florets'
import { StepLink } from './step-link'
import type { Step } from './steps'

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
      <div className="flex min-w-0 flex-1 items-center gap-3 pl-3.5 pr-2">
        <Link to="/" aria-label="All sites" title="All sites" className="shrink-0">
          <Floret />
        </Link>
        <span className="min-w-8 truncate text-[14px] font-semibold" title={siteName}>
          {siteName}
        </span>
        <DropdownMenu.Root>
          <DropdownMenu.Trigger className="flex h-6 min-w-10 items-center gap-1 text-on-ink-2 hover:text-on-ink" title={pageName}>
            <span className="truncate">{pageName}</span> <ChevronDown size={12} className="shrink-0" />
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content
              align="start"
              sideOffset={8}
              className="z-50 max-h-[70vh] min-w-44 max-w-96 overflow-y-auto rounded-2 border border-line-strong bg-field p-1 text-ink shadow-float"
            >
              {pages.map((page) => (
                <DropdownMenu.Item
                  key={page.id}
                  asChild
                  className="flex h-7 items-center rounded-2 px-2 outline-none data-[highlighted]:bg-ground"
                >
                  <Link to={page.to} title={page.name}>
                    <span className="truncate">{page.name}</span>
                  </Link>
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
      <nav aria-label="Path of the work" className="flex shrink-0 items-stretch border-l border-ink-2/40">
        {steps.map((step) => (
          <StepLink key={step.name} step={step} />
        ))}
      </nav>
      <div className="flex shrink-0 grow basis-0 items-center justify-end gap-4 pl-3 pr-3.5 max-xl:gap-2">{children}</div>
    </header>
  )
}
