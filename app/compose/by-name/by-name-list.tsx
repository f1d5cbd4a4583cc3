import { Command as Menu } from 'cmdk'
import { Dialog } from 'radix-ui'
import { useMemo, useRef, useState } from 'react'
import { useSessionStore } from '../../session/context'
import { COMMANDS } from '../commands'
import { Keys } from '../keys-shown'
import { allCommands } from './all-commands'
import { findCommands } from './find'

type ListProps = { onDone: () => void; onGo: (screen: string) => void }

/** Everything by name, or all keys. */
export function ByNameList({ list, ...rest }: ListProps & { list: 'commands' | 'keys' }) {
  return list === 'commands' ? <CommandList {...rest} /> : <KeyList />
}

function CommandList({ onDone, onGo }: ListProps) {
  const store = useSessionStore()
  const [query, setQuery] = useState('')
  const [moved, setMoved] = useState({ query: '', name: '' })
  const list = useRef<HTMLDivElement>(null)
  const commands = useMemo(() => allCommands(store, onGo), [store, onGo])
  const found = useMemo(() => findCommands(commands, query), [commands, query])
  // The best is chosen, and in sight, until the arrows lead elsewhere.
  const chosen = moved.query === query && moved.name !== '' ? moved.name : (found[0]?.name ?? '')
  const type = (text: string) => {
    setQuery(text)
    list.current?.scrollTo({ top: 0 })
  }
  return (
    <Menu label="Everything by name" shouldFilter={false} value={chosen} onValueChange={(name) => setMoved({ query, name })}>
      <Dialog.Title className="sr-only">Everything by name</Dialog.Title>
      <Menu.Input
        autoFocus
        value={query}
        onValueChange={type}
        placeholder="Add, set, go to, show …"
        className="w-full border-b border-line bg-field px-4 py-3 text-[15px] outline-none"
      />
      <Menu.List ref={list} className="relative max-h-[56vh] overflow-auto p-2">
        {found.length === 0 && <p className="p-3 text-muted">Nothing has that name.</p>}
        {found.map((command) => (
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
