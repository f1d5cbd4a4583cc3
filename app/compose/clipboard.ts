import { useEffect } from 'react'
import { inText } from '../ui/in-text'
import { toast } from 'sonner'
import { z } from 'zod'
import { luggageOf, luggageSchema } from '#core/bring/luggage'
import { newBlock } from '#core/blocks/defaults'
import { type Block, blockSchema } from '#core/blocks/index'
import { hasWords, walk } from '#core/blocks/tree'
import { plainText } from '#core/values/words'
import { useSessionStore } from '../session/context'
import { paste } from './insert'
import { deleteSelection } from './on-selection'
import { positionOf } from '#core/edits/places'
import { topmost } from '#core/many/chosen'
import { allSelected, type SessionStore, makeId } from '../session/store'

const BLOCKS = 'application/x-yarrowfinch-blocks+json'
const copiedSchema = z.object({ blocks: z.array(blockSchema), luggage: luggageSchema })

function textOf(block: Block, language: string): string {
  const lines = [...walk(block)].filter(hasWords).map((one) => plainText(one.words[language] ?? []))
  return lines.filter((line) => line !== '').join('\n')
}

function copy(store: SessionStore, data: DataTransfer): boolean {
  const state = store.getState()
  const places = topmost(allSelected(state))
  const last = places.at(-1)
  if (!last) return false
  const blocks = places.map((one) => one.block)
  const { parent, index } = positionOf(state.session.site, last)
  store.setState({ copied: { blocks, from: { parent, index: index + 1 } } })
  const luggage = luggageOf(state.session.site, state.siteId, blocks)
  data.setData(BLOCKS, JSON.stringify({ blocks, luggage }))
  data.setData('text/plain', blocks.map((block) => textOf(block, state.session.site.language)).join('\n'))
  return true
}

/** Pastes blocks; words, of which each line becomes a text; or picture files. */
async function takePaste(store: SessionStore, data: DataTransfer): Promise<void> {
  const json = data.getData(BLOCKS)
  const files = [...data.files]
  if (json !== '') {
    const copied = copiedSchema.safeParse(JSON.parse(json))
    if (!copied.success) return void toast.error('What was copied cannot be read. Copy it once more.')
    const { blocks, luggage } = copied.data
    if (luggage.site === store.getState().siteId) paste(store, blocks)
    else await (await import('./paste-brought')).pasteBrought(store, blocks, luggage)
    return
  }
  if (files.length > 0) return (await import('./put-pictures')).pastePictures(store, files)
  const { language } = store.getState().session.site
  const lines = data
    .getData('text/plain')
    .split(/\r?\n/)
    .map((line) => line.trim())
    .filter((line) => line !== '')
  for (const line of lines.slice(0, 200))
    paste(store, [{ ...newBlock('text', makeId), words: { [language]: [line.slice(0, 5000)] } }])
}

/** Copy, cut and paste of blocks through the platform's clipboard. */
export function useClipboard(): void {
  const store = useSessionStore()
  useEffect(() => {
    const onCopy = (event: ClipboardEvent) => {
      if (inText(event.target) || store.getState().words || !event.clipboardData) return
      if (copy(store, event.clipboardData)) event.preventDefault()
    }
    const onCut = (event: ClipboardEvent) => {
      if (inText(event.target) || store.getState().words || !event.clipboardData) return
      if (!copy(store, event.clipboardData)) return
      event.preventDefault()
      deleteSelection(store)
    }
    const onPaste = (event: ClipboardEvent) => {
      if (inText(event.target) || store.getState().words || !event.clipboardData) return
      event.preventDefault()
      void takePaste(store, event.clipboardData)
    }
    document.addEventListener('copy', onCopy)
    document.addEventListener('cut', onCut)
    document.addEventListener('paste', onPaste)
    return () => {
      document.removeEventListener('copy', onCopy)
      document.removeEventListener('cut', onCut)
      document.removeEventListener('paste', onPaste)
    }
  }, [store])
}
