import { ContextMenu } from 'radix-ui'
import type { ReactNode } from 'react'
import { later } from '../ui/later'

const PointerItems = later(async () => (await import('./pointer-items')).PointerItems, { takesKeys: true })

/** The menu that opens at the pointer, with what is done with the selection most. */
export function PointerMenu({ children }: { children: ReactNode }) {
  return (
    <ContextMenu.Root modal={false}>
      <ContextMenu.Trigger asChild>{children}</ContextMenu.Trigger>
      <ContextMenu.Portal>
        <ContextMenu.Content
          onCloseAutoFocus={(event) => event.preventDefault()}
          className="z-50 w-96 rounded-2 border border-line-strong bg-field p-1 shadow-float"
        >
          <PointerItems />
        </ContextMenu.Content>
      </ContextMenu.Portal>
    </ContextMenu.Root>
  )
}
