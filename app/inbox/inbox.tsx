import { Form, Link } from 'react-router'
import type { Page, Site } from '#core/site/schema'
import { Button, buttonClass } from '../ui/button'
import { stepsOf } from '../ui/steps'
import { TopBar } from '../ui/top-bar'

type Entry = { id: string; page: string; fields: { name: string; value: string }[]; createdAt: number }
export type InboxProps = {
  siteId: string
  site: Site
  page: Page
  revision: number
  exportedRevision: number | null
  inbox: { entries: Entry[]; page: number; pages: number; total: number; left: number }
  /** What is looked for in the entries. */
  words: string
}

const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' })

/** What visitors of the played pages sent with their forms. */
export function Inbox({ siteId, site, page, revision, exportedRevision, inbox, words }: InboxProps) {
  const { entries, total, left } = inbox
  return (
    <div className="flex h-screen flex-col overflow-clip">
      <TopBar
        siteName={site.name}
        pageName={page.name}
        pages={site.pages.map((one) => ({ id: one.id, name: one.name, to: `/sites/${siteId}/pages/${one.id}/inbox` }))}
        steps={stepsOf({ siteId, site, page, exported: exportedRevision === revision })}
      >
        <Link to={`/sites/${siteId}/pages/${page.id}/play`} className={buttonClass('primary')}>
          Play page
        </Link>
      </TopBar>
      <main className="relative min-h-0 flex-1 overflow-y-auto">
        <div className="mx-auto max-w-3xl px-6 py-8">
          <h1 className="text-title font-semibold">Form inbox</h1>
          <p className="mt-1 max-w-xl text-ink-2">
            A stand-in on this machine for a mail service: what is sent with the forms of played pages arrives here, and nowhere
            else. Give a form an address in Compose before the site is handed over.
          </p>
          <div className="mt-4 flex items-center gap-2">
            <Form method="get" role="search" className="flex flex-1 gap-2">
              <input
                key={words}
                type="search"
                name="words"
                aria-label="Words to look for in the entries"
                placeholder="Words in an entry"
                maxLength={200}
                defaultValue={words}
                className="h-8 min-w-0 flex-1 rounded-2 border border-line-strong bg-field px-2.5"
              />
              <Button type="submit">Search</Button>
            </Form>
            {total > 0 && (
              <a
                href={`/sites/${siteId}/inbox.csv${words === '' ? '' : `?${new URLSearchParams({ words })}`}`}
                download="entries.csv"
                className={buttonClass()}
              >
                Save as CSV
              </a>
            )}
          </div>
          <p className="mt-3 text-label text-ink-2">
            <span className="figure">{total}</span> {total === 1 ? 'entry' : 'entries'}
            {words !== '' && ` with “${words}”`}
            {left > 0 && (
              <>
                ; the oldest <span className="figure">{left}</span> left to make room for newer ones
              </>
            )}
          </p>
          <ul>
            {entries.map((entry) => (
              <li key={entry.id} className="mt-2 border-t border-line-strong pt-2">
                <div className="flex items-baseline justify-between">
                  <span className="font-semibold">{entry.page}</span>
                  <span className="figure text-ink-2">{when.format(entry.createdAt)}</span>
                </div>
                <dl className="mt-1 grid grid-cols-[160px_1fr_auto] gap-x-4 gap-y-0.5">
                  {entry.fields.map((field) => (
                    <div key={field.name} className="contents">
                      <dt className="text-ink-2">{field.name}</dt>
                      <dd className="col-span-2 whitespace-pre-wrap">{field.value === '' ? '–' : field.value}</dd>
                    </div>
                  ))}
                </dl>
                <Form method="post" className="mt-1.5">
                  <input type="hidden" name="entry" value={entry.id} />
                  <Button type="submit" className="!h-[24px]">
                    Delete
                  </Button>
                </Form>
              </li>
            ))}
          </ul>
          {inbox.pages > 1 && <Parts page={inbox.page} pages={inbox.pages} words={words} />}
          {entries.length === 0 && (
            <p className="mt-6 text-ink-2">
              {words === '' ? (
                'Nothing has arrived yet. Play a page with a form, fill it in and send it.'
              ) : (
                <>
                  No entry has these words.{' '}
                  <Link className="inline-flex min-h-6 items-center underline" to="?">
                    Show all
                  </Link>
                </>
              )}
            </p>
          )}
        </div>
      </main>
    </div>
  )
}

/** The way through an inbox of more than one part. */
function Parts({ page, pages, words }: { page: number; pages: number; words: string }) {
  const at = (part: number) => `?${new URLSearchParams({ ...(words === '' ? {} : { words }), part: String(part) })}`
  const step = 'inline-flex min-h-6 items-center underline'
  return (
    <nav aria-label="Parts of the inbox" className="mt-6 flex items-center gap-4 border-t border-line-strong pt-3">
      {page > 1 && (
        <Link className={step} to={at(page - 1)}>
          Newer
        </Link>
      )}
      <span className="figure text-ink-2">
        {page} of {pages}
      </span>
      {page < pages && (
        <Link className={step} to={at(page + 1)}>
          Older
        </Link>
      )}
    </nav>
  )
}
