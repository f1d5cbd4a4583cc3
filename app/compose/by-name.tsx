import { Command as Menu } from 'cmdk'
import { Dialog } from 'radix-ui'
import { useEffect, useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { inText } from '../ui/in-text'
import { ADD_COMMANDS, blockCommands, COMMANDS } from './commands'
import { type Command } from '../session/command'
import { useSessionStore, useSession } from '../session/context'

type Open = 'commands' | 'keys' | null

/** `/` opens everything by name, `?` shows all keys, `P` plays the page. */
export function ByName() {
  const store = useSessionStore()
  const navigate = useNavigate()
  const [open, setOpen] = useState<Open>(null)
  const siteId = useSession((state) => state.siteId)
  const pageId = useSession((state) => state.pageId)
  const playTo = `/sites/${siteId}/pages/${pageId}/play`

  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (inText(event.target) || store.getState().words || event.ctrlKey || event.metaKey || event.altKey) return
      if (event.key === '/') setOpen('commands')
      else if (event.key === '?') setOpen('keys')
      else if (event.key.toLowerCase() === 'p') void navigate(playTo)
      else return
      event.preventDefault()
    }
    window.addEventListener('keydown', onKeyDown)
    return () => window.removeEventListener('keydown', onKeyDown)
  }, [store, navigate, playTo])

  return (
    <Dialog.Root open={open !== null} onOpenChange={(next) => !next && setOpen(null)}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed left-1/2 top-[12vh] z-50 max-h-[76vh] w-[520px] -translate-x-1/2 overflow-auto rounded-2 bg-panel shadow-float"
        >
          {open === 'commands' ? <CommandList onDone={() => setOpen(null)} onPlay={() => void navigate(playTo)} /> : <KeyList />}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}

function CommandList({ onDone, onPlay }: { onDone: () => void; onPlay: () => void }) {
  const store = useSessionStore()
  const commands = useMemo((): Command[] => {
    const named = COMMANDS.filter((one, i) => COMMANDS.findIndex((other) => other.name === one.name) === i)
    const play: Command = { name: 'Play page', key: 'P', run: onPlay }
    return [play, ...ADD_COMMANDS, ...blockCommands(store), ...named].filter((one) => one.possible?.(store) ?? true)
  }, [store, onPlay])
  return (
    <Menu label="Everything by name">
      <Dialog.Title className="sr-only">Everything by name</Dialog.Title>
      <Menu.Input
        autoFocus
        placeholder="Add, go to, show …"
        className="w-full border-b border-line bg-field px-4 py-3 text-[15px] outline-none"
      />
      <Menu.List className="relative max-h-[56vh] overflow-auto p-2">
        <Menu.Empty className="p-3 text-muted">Nothing has that name.</Menu.Empty>
        {commands.map((command) => (
          <Menu.Item
            key={command.name}
            value={command.name}
            className="flex h-8 items-center justify-between rounded-2 px-2 data-[selected=true]:bg-wash"
            onSelect={() => {
              onDone()
              command.run(store)
            }}
          >
            {command.name}
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
      <ul>
        {rows.map((row) => (
          <li key={row.key} className="flex items-center justify-between border-t border-line py-1">
            {row.name}
            <Keys of={row.key ?? ''} />
          </li>
        ))}
      </ul>
    </div>
  )
}

const SHOWN: Record<string, string> = { ArrowUp: '↑', ArrowDown: '↓', ArrowLeft: '←', ArrowRight: '→' }

function Keys({ of }: { of: string }) {
  return (
    <span className="flex gap-1">
      {of.split(' ').map((key) => (
        <kbd key={key} className="figure rounded-2 border border-line-strong bg-field px-1.5">
          {SHOWN[key] ?? key}
        </kbd>
      ))}
    </span>
  )
}
