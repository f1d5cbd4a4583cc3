import { toast } from 'sonner'
import type { Block } from '#core/blocks/index'
import { bring } from '#core/bring/bring'
import type { Luggage } from '#core/bring/luggage'
import { makeId, type SessionStore, undo } from '../session/store'
import { paste } from './insert'

/** Those of some things whose bytes are on this server. */
async function present<T extends { hash: string }>(things: readonly T[], addressOf: (one: T) => string): Promise<T[]> {
  const here = await Promise.all(
    things.map((one) =>
      fetch(addressOf(one), { method: 'HEAD' }).then(
        ({ ok }) => ok,
        () => false,
      ),
    ),
  )
  return things.filter((_, n) => here[n])
}

/** Pastes blocks of another site with all that they need of it, and says what came along, with a way back. */
export async function pasteBrought(store: SessionStore, blocks: readonly Block[], luggage: Luggage): Promise<void> {
  const pictures = await present(luggage.pictures, (one) => `/pictures/${one.hash}`)
  const brought = bring(store.getState().session.site, { ...luggage, pictures }, blocks, makeId)
  if (!paste(store, brought.blocks, undefined, brought.edits) || brought.said.length === 0) return
  const sentence = brought.said.join('; ')
  toast(`${sentence[0]!.toUpperCase()}${sentence.slice(1)}.`, {
    duration: 12_000,
    action: { label: 'Undo', onClick: () => undo(store) },
  })
}
