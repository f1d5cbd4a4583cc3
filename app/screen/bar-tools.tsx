import { type LucideIcon, SlidersHorizontal } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import { BarButton } from './bar-button'

/** A tool of the top bar; `pressed` is there for those that are on or off. */
export type BarTool = { label: string; icon: LucideIcon; pressed?: boolean; onPress: () => void }

/** The tools of a screen: side by side where there is room, else in a menu. */
export function BarTools({ tools }: { tools: readonly BarTool[] }) {
  return (
    <>
      <span className="flex items-center max-xl:hidden">
        {tools.map(({ label, icon: Icon, pressed, onPress }) => (
          <BarButton key={label} label={label} {...(pressed === undefined ? {} : { pressed })} onClick={onPress}>
            <Icon size={16} strokeWidth={1.5} />
          </BarButton>
        ))}
      </span>
      <span className="flex items-center xl:hidden">
        <DropdownMenu.Root>
          <DropdownMenu.Trigger asChild>
            <BarButton label="Tools of this screen">
              <SlidersHorizontal size={16} strokeWidth={1.5} />
            </BarButton>
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content
              align="end"
              sideOffset={8}
              className="z-50 min-w-56 rounded-2 border border-line-strong bg-field p-1 text-ink shadow-float"
            >
              {tools.map(({ label, icon: Icon, pressed, onPress }) => (
                <DropdownMenu.CheckboxItem
                  key={label}
                  checked={pressed ?? false}
                  onSelect={onPress}
                  className="flex h-7 cursor-default items-center gap-2 rounded-2 px-2 outline-none data-[highlighted]:bg-ground data-[state=checked]:font-semibold"
                >
                  <Icon size={16} strokeWidth={1.5} />
                  {label}
                </DropdownMenu.CheckboxItem>
              ))}
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      </span>
    </>
  )
}
