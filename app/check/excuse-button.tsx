import { useState } from 'react'
import type { Finding } from '#core/analysis/finding'
import { ExcuseForm } from './excuse-form'

/** Asks for the reason why a finding is no fault here, once it is pressed. */
export function ExcuseButton({ finding, page }: { finding: Finding; page: string }) {
  const [asking, setAsking] = useState(false)
  return asking ? (
    <ExcuseForm finding={finding} page={page} onDone={() => setAsking(false)} />
  ) : (
    <button type="button" className="inline-flex min-h-6 items-center underline" onClick={() => setAsking(true)}>
      Not a fault here …
    </button>
  )
}
