import { ContextMenu } from 'radix-ui'
import { Fragment } from 'react'
import { useSessionStore } from '../session/context'
import { COMMANDS } from './commands'
import { Keys } from './keys-shown'

/** What is done with the selection most, for the menu at the pointer: by the names of the commands. */
export const AT_POINTER: readonly (readonly string[])[] = [
  [
    'Edit the words, or go inside',
    'Duplicate the selection',
    'Delete the selection',
    'Hide or show the selection',
    'Lock or unlock the selection',
  ],
  ['Put the selection in a group', 'Take the group away', 'Move the selection up', 'Move the selection down'],
  [
    'Pick up the style, to put it on what is pressed',
    'Paste the style alone',
    'Paste the motion alone',
    'Paste the words alone',
    'Paste in place',
  ],
  ['Select all of the same kind in the section', 'Select all set in the same way on the page', 'Table of exceptions'],
  ['Make a shared block of the selection', 'Make the copy independent'],
  ['Re-set the section in another arrangement'],
]

/** The commands of the menu at the pointer; what is possible is asked as it opens. */
export function PointerItems() {
  const store = useSessionStore()
  return (
    <>
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
    </>
  )
}
