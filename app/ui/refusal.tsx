import { Popover } from 'radix-ui'
import { type RefObject, useState } from 'react'

/**
 * What a field says of text that it cannot take. The text stays until it is corrected, or Escape gives back what it was.
 * @returns the sentence, empty while there is none; and what sets it
 */
export function useRefusal(): [sentence: string, refuse: (sentence: string) => void] {
  return useState('')
}

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
