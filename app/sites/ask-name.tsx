import { Dialog } from 'radix-ui'
import { Button, buttonClass } from '../ui/button'

type AskNameProps = {
  title: string
  value: string
  action: string
  open: boolean
  onClose: () => void
  onTake: (name: string) => void
}

/** Asks for the name of a site. */
export function AskName({ title, value, action, open, onClose, onTake }: AskNameProps) {
  return (
    <Dialog.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed left-1/2 top-[28vh] z-50 w-[380px] -translate-x-1/2 rounded-2 bg-panel p-5 shadow-float"
        >
          <Dialog.Title className="text-title font-semibold">{title}</Dialog.Title>
          <form
            className="mt-4"
            onSubmit={(event) => {
              event.preventDefault()
              onTake(String(new FormData(event.currentTarget).get('name')))
              onClose()
            }}
          >
            <label className="block text-label text-ink-2">
              Name
              <input
                name="name"
                required
                maxLength={120}
                autoFocus
                defaultValue={value}
                className="mt-1 h-8 w-full rounded-2 border border-line-strong bg-field px-2 text-ui text-ink"
              />
            </label>
            <div className="mt-5 flex justify-end gap-2">
              <Button onClick={onClose}>Cancel</Button>
              <button type="submit" className={buttonClass('primary')}>
                {action}
              </button>
            </div>
          </form>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
