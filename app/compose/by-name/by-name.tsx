import { Dialog } from 'radix-ui'
import { useEffect, useState } from 'react'
import { useNavigate } from 'react-router'
import { inText } from '../../ui/in-text'
import { later } from '../../ui/later'
import { useSessionStore, useSession } from '../../session/context'

/** The lists, loaded when the first is opened. */
export const ByNameList = later(async () => (await import('./by-name-list')).ByNameList, { takesKeys: true })

type Open = 'commands' | 'keys' | null

/** `/` opens everything by name, `?` shows all keys. */
export function ByName() {
  const store = useSessionStore()
  const navigate = useNavigate()
  const [open, setOpen] = useState<Open>(null)
  const siteId = useSession((state) => state.siteId)
  const pageId = useSession((state) => state.pageId)

  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (inText(event.target) || store.getState().words || event.ctrlKey || event.metaKey || event.altKey) return
      if (event.key === '/') setOpen('commands')
      else if (event.key === '?') setOpen('keys')
      else return
      event.preventDefault()
    }
    window.addEventListener('keydown', onKeyDown)
    return () => window.removeEventListener('keydown', onKeyDown)
  }, [store])

  return (
    <Dialog.Root open={open !== null} onOpenChange={(next) => !next && setOpen(null)}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <Dialog.Content
          aria-describedby={undefined}
          className={`fixed left-1/2 top-[12vh] z-50 max-h-[76vh] -translate-x-1/2 overflow-auto rounded-2 bg-panel shadow-float ${open === 'keys' ? 'w-[920px]' : 'w-[520px]'}`}
        >
          {open && (
            <ByNameList
              list={open}
              onDone={() => setOpen(null)}
              onGo={(screen) => void navigate(`/sites/${siteId}/pages/${pageId}/${screen}`)}
            />
          )}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
