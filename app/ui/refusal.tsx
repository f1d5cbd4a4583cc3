import { Popover } from 'radix-ui'
import type { RefObject } from 'react'

/** The sentence of a refused field, above it. */
export function Refusal({ sentence, field }: { sentence: string; field: RefObject<HTMLElement | null> }) {
  return (
    <Popover.Root open>
      <Popover.Anchor virtualRef={field as RefObject<HTMLElement>} />
      <Popover.Portal>
        <Popover.Content
          role="alert"
          side="top"
          align="start"
          sideOffset={3}
          onOpenAutoFocus={(event) => event.preventDefault()}
          onCloseAutoFocus={(event) => event.preventDefault()}
          className="z-50 max-w-72 rounded-2 border border-rust bg-rust-wash px-2 py-1 text-label text-ink shadow-float"
        >
          {sentence}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
