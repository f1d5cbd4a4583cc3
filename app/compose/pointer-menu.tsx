import { ContextMenu } from 'radix-ui'
import { Fragment, type ReactNode, useState } from 'react'
import { useSessionStore } from '../session/context'
import { AT_POINTER, COMMANDS } from './commands'
import { Keys } from './keys-shown'

/** The menu that opens at the pointer, with what is done with the selection most. */
export function PointerMenu({ children }: { children: ReactNode }) {
  const store = useSessionStore()
  // What is possible is asked when the menu opens.
  const [opened, setOpened] = useState(0)
  return (
    <ContextMenu.Root modal={false} onOpenChange={(open) => open && setOpened(opened + 1)}>
      <ContextMenu.Trigger asChild>{children}</ContextMenu.Trigger>
      <ContextMenu.Portal>
        <ContextMenu.Content
          onCloseAutoFocus={(event) => event.preventDefault()}
          className="z-50 w-96 rounded-2 border border-line-strong bg-field p-1 shadow-float"
        >
          {AT_POINTER.map((names, n) => (
            <Fragment key={names[0]}>
              {n > 0 && <ContextMenu.Separator className="my-1 border-t border-line" />}
              {names.map((name) => {
                const command = COMMANDS.find((one) => one.name === name)!
                return (
                  <ContextMenu.Item
                    key={name}
                    disabled={!(command.possible?.(store) ?? true)}
                    className="flex h-7 cursor-default items-center justify-between rounded-2 px-2 outline-none data-[highlighted]:bg-ground data-[disabled]:text-muted"
                    onSelect={() => command.run(store)}
                  >
                    {command.name}
                    {command.key && <Keys of={command.key} />}
                  </ContextMenu.Item>
                )
              })}
            </Fragment>
          ))}
        </ContextMenu.Content>
      </ContextMenu.Portal>
    </ContextMenu.Root>
  )
}
