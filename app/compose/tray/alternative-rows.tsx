import type { BlockOf } from '#core/blocks/index'
import { LineField } from '../../ui/line-field'
import { Finding } from '../../fields/row'
import { useSession, useSessionStore } from '../../session/context'
import { edit } from '../../session/store'

/** What is said of a picture to those who do not see it, or that it is decoration, of which they are not told (WCAG 2.2, 1.1.1). */
export function AlternativeRows({ block, label }: { block: BlockOf<'picture' | 'device'>; label: string }) {
  const store = useSessionStore()
  const { language } = useSession((state) => state.session.site)
  const alt = block.alt?.[language]
  const isDecoration = alt === ''
  const set = (text: string | undefined, gesture?: string) => {
    const { [language]: _, ...others } = block.alt ?? {}
    const value = text === undefined ? others : { ...others, [language]: text }
    edit(store, { kind: 'field', block: block.id, field: 'alt', value: Object.keys(value).length > 0 ? value : null }, gesture)
  }
  return (
    <>
      <LineField
        label={label}
        of={`alt-${block.id}`}
        value={alt ?? ''}
        rows={2}
        most={1000}
        disabled={isDecoration}
        className="mt-1 text-label"
        placeholder={isDecoration ? 'Decoration: passed over in silence' : 'Alternative text: what is seen, in a sentence'}
        // A text that is taken away is missing; that none is needed is said by the mark alone.
        onWrite={(text, gesture) => set(text === '' ? undefined : text, gesture)}
      />
      <label className="flex min-h-6 items-center gap-2">
        <input
          type="checkbox"
          className="accent-ink"
          checked={isDecoration}
          onChange={(event) => set(event.target.checked ? '' : undefined)}
        />
        Decoration
      </label>
      {alt === undefined && <Finding well={false}>Say what is seen, or mark it as decoration.</Finding>}
    </>
  )
}
