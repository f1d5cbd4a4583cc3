import { TriangleAlert } from 'lucide-react'
import { Button, buttonClass } from '../ui/button'

/** A site that cannot be read, and the newest revision that can. */
export type UnreadableSite = {
  id: string
  problem: string
  revision: number
  updatedAt: number
  good: { revision: number; name: string } | null
}

const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' })

/** A site that cannot be shown: what is wrong with it, and what can be done: its file, the revision before, or to delete it. */
export function Unreadable({ site, submit }: { site: UnreadableSite; submit: (fields: Record<string, string>) => void }) {
  const { id, problem, revision, updatedAt, good } = site
  const lost = good ? revision - good.revision : 0
  return (
    <li className="flex gap-4 border border-line-strong border-l-4 border-l-rust bg-field p-4" data-unreadable={id}>
      <TriangleAlert size={18} strokeWidth={1.5} className="mt-0.5 shrink-0 text-rust" />
      <div className="min-w-0 flex-1">
        <h2 className="font-semibold">{good?.name ?? `A site without a readable name (${id})`}</h2>
        <p className="mt-0.5 text-ink-2 wrap-anywhere">{problem}</p>
        <p className="mt-0.5 text-label text-ink-2">
          Edited {when.format(updatedAt)}, revision <span className="figure">{revision}</span>.{' '}
          {good
            ? `Revision ${good.revision} can be read${lost > 0 ? `; the ${lost === 1 ? 'edit' : `${lost} edits`} after it would be given up` : ''}.`
            : 'No revision of it can be read.'}
        </p>
        <div className="mt-3 flex flex-wrap gap-2">
          {good && (
            <Button look="primary" onClick={() => submit({ intent: 'return', site: id })}>
              Return to revision {good.revision}
            </Button>
          )}
          <a className={buttonClass()} href={`/sites/${id}/raw`} download>
            Download its file
          </a>
          <Button onClick={() => submit({ intent: 'delete', site: id })}>Delete</Button>
        </div>
      </div>
    </li>
  )
}
