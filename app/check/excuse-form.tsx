import { useState } from 'react'
import { LONGEST_REASON } from '#core/site/excuse'
import type { Finding } from '#core/analysis/finding'
import { useSessionStore } from '../session/context'
import { edit, makeId } from '../session/store'
import { Button } from '../ui/button'

/** Says that a finding is no fault here; it asks for the reason, which is kept with the site. */
export function ExcuseForm({ finding, page, onDone }: { finding: Finding; page: string; onDone: () => void }) {
  const store = useSessionStore()
  const [reason, setReason] = useState('')
  const [missing, setMissing] = useState(false)
  const { kind, block, beside } = finding
  return (
    <form
      className="mt-2 flex flex-wrap items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault()
        if (reason.trim() === '') return setMissing(true)
        const item = { id: makeId(), page, kind, reason: reason.trim(), ...(block ? { block } : {}), ...(beside ? { beside } : {}) }
        edit(store, { kind: 'list', list: 'excuses', drop: [], put: [{ item }] })
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
