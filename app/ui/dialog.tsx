import { Dialog } from 'radix-ui'
import type { ReactNode } from 'react'

type DialogProps = {
  title: string
  /** Where it stands and how large it is. */
  className: string
  open?: boolean
  onClose: () => void
  children: ReactNode
}

/** A dialog over the dimmed screen, under its title; Escape and a press outside close it. */
export function TitledDialog({ title, className, open = true, onClose, children }: DialogProps) {
  return (
    <Dialog.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <Dialog.Content
          aria-describedby={undefined}
          className={`fixed left-1/2 z-50 -translate-x-1/2 rounded-2 bg-panel p-5 shadow-float ${className}`}
        >
          <Dialog.Title className="text-title font-semibold">{title}</Dialog.Title>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
