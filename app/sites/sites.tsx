import { FileUp, Plus } from 'lucide-react'
import { useEffect, useRef, useState } from 'react'
import { useFetcher, useNavigate } from 'react-router'
import { toast } from 'sonner'
import { Button } from '../ui/button'
import { FileInput } from '../ui/file-input'
import { Floret } from '../ui/florets'
import { AskName } from './ask-name'
import { Plate, type SiteSummary } from './plate'
import { Unreadable, type UnreadableSite } from './unreadable'

type Answer = { created?: string; deleted?: string; problem?: string }

/** The home screen: a plate for each site, and ways to start one. */
export function Sites({ sites, unreadable }: { sites: SiteSummary[]; unreadable: UnreadableSite[] }) {
  const fetcher = useFetcher<Answer>()
  const navigate = useNavigate()
  const [naming, setNaming] = useState(false)
  const file = useRef<HTMLInputElement>(null)
  const opens = useRef(false)

  const submit = (fields: Record<string, string | File>, open = false) => {
    const form = new FormData()
    for (const [name, value] of Object.entries(fields)) form.set(name, value)
    opens.current = open
    void fetcher.submit(form, { method: 'post', encType: 'multipart/form-data', action: '/?index' })
  }
  const restore = useRef((site: string) => submit({ intent: 'restore', site }))

  useEffect(() => {
    const answer = fetcher.data
    if (fetcher.state !== 'idle' || !answer) return
    if (answer.problem) toast.error(answer.problem)
    if (answer.created && opens.current) void navigate(`/sites/${answer.created}`)
    if (answer.deleted) {
      const site = answer.deleted
      toast('The site was deleted. It can be brought back for 30 days.', {
        duration: 15_000,
        action: { label: 'Undo', onClick: () => restore.current(site) },
      })
    }
  }, [fetcher.data, fetcher.state, navigate])

  return (
    <div className="flex h-screen flex-col">
      <header className="on-ink flex h-11 shrink-0 items-center gap-3 bg-ink px-3.5 text-on-ink">
        <Floret />
        <span className="text-[14px] font-semibold">Yarrowfinch</span>
      </header>
      <main className="relative min-h-0 flex-1 overflow-auto">
        <div className="mx-auto max-w-[1200px] px-10 py-9">
          <div className="mb-6 flex items-end justify-between gap-4 border-b border-line-strong pb-4">
            <div>
              <h1 className="text-display font-semibold">Sites</h1>
              <p className="text-ink-2">
                {sites.length} {sites.length === 1 ? 'site' : 'sites'}, the one edited last first
                {unreadable.length > 0 && `; ${unreadable.length} more cannot be read`}
              </p>
            </div>
            <div className="flex gap-2">
              <Button onClick={() => file.current?.click()} disabled={fetcher.state !== 'idle'}>
                <FileUp size={14} strokeWidth={1.5} /> Open a site file
              </Button>
              <Button look="primary" onClick={() => setNaming(true)}>
                <Plus size={14} strokeWidth={1.5} /> New site
              </Button>
            </div>
          </div>
          {unreadable.length > 0 && (
            <ul className="mb-8 grid gap-3">
              {unreadable.map((site) => (
                <Unreadable key={site.id} site={site} submit={submit} />
              ))}
            </ul>
          )}
          <ul className="grid grid-cols-[repeat(auto-fill,minmax(300px,1fr))] gap-x-7 gap-y-9">
            {sites.map((site, index) => (
              <Plate key={site.id} site={site} number={index + 1} submit={submit} />
            ))}
          </ul>
          {sites.length + unreadable.length === 0 && (
            <p className="py-16 text-center text-ink-2">No sites yet. Start a new one, or open a .site.zip or .site.json file.</p>
          )}
        </div>
      </main>
      <FileInput
        ref={file}
        label="Site file"
        takes={['site file']}
        onTake={([chosen]) => chosen && submit({ intent: 'import', file: chosen }, true)}
      />
      <AskName
        title="New site"
        value=""
        action="Create the site"
        open={naming}
        onClose={() => setNaming(false)}
        onTake={(name) => submit({ intent: 'new', name }, true)}
      />
    </div>
  )
}
