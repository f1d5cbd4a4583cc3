import { Button, buttonClass } from '../ui/button'
import { TitledDialog } from '../ui/dialog'

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
    <TitledDialog title={title} className="top-[28vh] w-[380px]" open={open} onClose={onClose}>
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
    </TitledDialog>
  )
}
