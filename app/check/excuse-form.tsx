import { useState } from 'react'
import { LONGEST_REASON } from '#core/site/excuse'
import type { Finding } from '#core/analysis/finding'
import { useSessionStore } from '../session/context'
import { edit, makeId } from '../session/store'
import { Button } from '../ui/button'

type ExcuseFormProps = { finding: Finding & { with?: readonly Finding[] }; page: string; onDone: () => void }

/** Says that a finding, and all that stands on its line, is no fault here; it asks for the reason, which is kept with the site. */
export function ExcuseForm({ finding, page, onDone }: ExcuseFormProps) {
  const store = useSessionStore()
  const [reason, setReason] = useState('')
  const [missing, setMissing] = useState(false)
  return (
    <form
      className="mt-2 flex flex-wrap items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault()
        if (reason.trim() === '') return setMissing(true)
        const put = [finding, ...(finding.with ?? [])].map(({ kind, block, beside }) => ({
          item: { id: makeId(), page, kind, reason: reason.trim(), ...(block ? { block } : {}), ...(beside ? { beside } : {}) },
        }))
        edit(store, { kind: 'list', list: 'excuses', drop: [], put })
        onDone()
      }}
    >
      <input
        autoFocus
        aria-label="Why this is no fault here"
        aria-invalid={missing}
        placeholder="Why this is no fault here"
        maxLength={LONGEST_REASON}
        value={reason}
        className="h-[30px] min-w-0 flex-1 rounded-2 border border-line-strong bg-field px-2"
        onChange={(event) => setReason(event.target.value)}
        onKeyDown={(event) => event.key === 'Escape' && onDone()}
      />
      <Button type="submit">Keep as no fault</Button>
      <Button onClick={onDone}>Cancel</Button>
      {missing && (
        <p role="alert" className="w-full text-label text-rust">
          Say in a few words why, so that others know.
        </p>
      )}
    </form>
  )
}
