import { Command as Menu } from 'cmdk'
import { Dialog } from 'radix-ui'
import { useMemo } from 'react'
import type { Command } from '../session/command'
import { useSessionStore } from '../session/context'
import { ADD_COMMANDS, blockCommands, COMMANDS, copyCommands } from './commands'
import { Keys } from './keys-shown'
import { propertyCommands } from './property-commands'

type ListProps = { onDone: () => void; onPlay: () => void }

/** Everything by name, or all keys. */
export function ByNameList({ list, ...rest }: ListProps & { list: 'commands' | 'keys' }) {
  return list === 'commands' ? <CommandList {...rest} /> : <KeyList />
}

function CommandList({ onDone, onPlay }: ListProps) {
  const store = useSessionStore()
  const commands = useMemo((): Command[] => {
    const named = COMMANDS.filter((one, i) => COMMANDS.findIndex((other) => other.name === one.name) === i)
    const play: Command = { name: 'Play page', key: 'P', run: onPlay }
    return [play, ...ADD_COMMANDS, ...copyCommands(store), ...propertyCommands(store), ...blockCommands(store), ...named].filter(
      (one) => one.possible?.(store) ?? true,
    )
  }, [store, onPlay])
  return (
    <Menu label="Everything by name">
      <Dialog.Title className="sr-only">Everything by name</Dialog.Title>
      <Menu.Input
        autoFocus
        placeholder="Add, set, go to, show …"
        className="w-full border-b border-line bg-field px-4 py-3 text-[15px] outline-none"
      />
      <Menu.List className="relative max-h-[56vh] overflow-auto p-2">
        <Menu.Empty className="p-3 text-muted">Nothing has that name.</Menu.Empty>
        {commands.map((command) => (
          <Menu.Item
            key={command.name}
            value={command.name}
            className="flex h-8 items-center justify-between gap-3 rounded-2 px-2 data-[selected=true]:bg-wash"
            onSelect={() => {
              onDone()
              command.run(store)
            }}
          >
            <span className="truncate">{command.name}</span>
            {command.key && <Keys of={command.key} />}
          </Menu.Item>
        ))}
      </Menu.List>
    </Menu>
  )
}

function KeyList() {
  const rows = [
    ...COMMANDS,
    { name: 'Play page', key: 'P' },
    { name: 'Everything by name', key: '/' },
    { name: 'All keys', key: '?' },
    { name: 'Copy, cut, paste', key: 'Ctrl C' },
  ]
  return (
    <div className="p-5">
      <Dialog.Title className="mb-3 text-title font-semibold">Keys</Dialog.Title>
      <ul className="columns-2 gap-8">
        {rows.map((row) => (
          <li
            key={`${row.name} ${row.key}`}
            className="flex break-inside-avoid items-center justify-between gap-3 border-t border-line py-1"
          >
            {row.name}
            <Keys of={row.key ?? ''} />
          </li>
        ))}
      </ul>
    </div>
  )
}
