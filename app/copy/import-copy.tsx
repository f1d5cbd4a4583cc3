import { type ReactNode, useMemo, useState } from 'react'
import { toast } from 'sonner'
import { deckLinks } from '#core/deck/links'
import { asDeckText, documentHeadings } from '#core/outlines/levels'
import { acceptOf } from '#core/formats/accepted'
import { sameName } from '#core/deck/names'
import { MAX_DECK, parseDeck } from '#core/deck/parse'
import { pageFor } from '#core/reconcile/match'
import { useSessionStore, useSession } from '../session/context'
import { pageOf } from '../session/store'
import { ask, type Asked } from '../ui/ask'
import { Button } from '../ui/button'
import { Choice } from '../ui/choice'
import { DocumentOutline } from './document-outline'
import { type Destination, importDeck } from './import-deck'
import { TitledDialog } from '../ui/dialog'

/** Reads a document on the server. @returns its Markdown, or a sentence that says what is wrong */
function readFile(siteId: string, file: File): Promise<Asked<{ text: string; foreign: boolean }>> {
  const body = new FormData()
  body.set('file', file)
  return ask(`“${file.name}” was not read`, `/sites/${siteId}/copy-file`, { method: 'POST', body })
}

/** Brings a document of copy into the deck: a file or pasted text, with a say in where each of its pages goes. */
export function ImportCopy({ language, onClose }: { language: string; onClose: () => void }) {
  const store = useSessionStore()
  const [text, setText] = useState('')
  const [name, setName] = useState('')
  const [foreign, setForeign] = useState(false)
  const [problem, setProblem] = useState('')
  const read = async (file: File | undefined) => {
    if (!file) return
    const answer = await readFile(store.getState().siteId, file)
    if ('problem' in answer) return setProblem(answer.problem)
    setProblem('')
    setName(file.name)
    setForeign(answer.foreign)
    setText(answer.text)
  }
  const typed = (value: string) => {
    // oxlint-disable-next-line no-control-regex -- these are the characters that text does not have
    if (/[\u0000-\u0008\u000e-\u001f]/.test(value)) return setProblem('This is binary data, not text.')
    if (value.length > MAX_DECK)
      return setProblem(
        `A copy deck holds ${MAX_DECK.toLocaleString('en-GB')} characters at most; this has ${value.length.toLocaleString('en-GB')}.`,
      )
    setProblem('')
    if (text === '') setForeign(false)
    setText(value)
  }
  return (
    <TitledDialog
      title="Import copy"
      className="top-[8vh] flex max-h-[84vh] w-[640px] flex-col gap-3 overflow-auto"
      onClose={onClose}
    >
      <p className="text-ink-2">
        Markdown, plain text or Word. What its headings stand for is shown before anything is imported, and can be changed.
      </p>
      <label className="flex items-center gap-3">
        <span className="sr-only">Document of copy</span>
        <input type="file" accept={acceptOf(['copy'])} onChange={(event) => void read(event.target.files?.[0])} />
      </label>
      <textarea
        aria-label="Text to import"
        rows={8}
        placeholder="Or paste the text here"
        className="figure w-full resize-y rounded-2 border border-line-strong bg-field px-2 py-1"
        value={text}
        onChange={(event) => typed(event.target.value)}
      />
      {problem !== '' && (
        <p role="alert" className="bg-rust-wash px-2 py-1 text-rust">
          {problem} Nothing was changed.
        </p>
      )}
      <Outlined key={text} text={text} foreign={foreign}>
        {(deckText) => <Destinations text={deckText} name={name} language={language} onClose={onClose} />}
      </Outlined>
    </TitledDialog>
  )
}

type OutlinedProps = { text: string; foreign: boolean; children: (deckText: string) => ReactNode }

/** The headings of a document and what they are taken for; what is below goes by that. */
function Outlined({ text, foreign, children }: OutlinedProps) {
  const site = useSession((state) => state.session.site)
  const page = useSession(pageOf)
  const suggested = useMemo(
    () => documentHeadings(text, { isPage: (name) => pageFor(site, name, page.id) !== undefined && name !== '', foreign }),
    [text, site, page.id, foreign],
  )
  const [headings, setHeadings] = useState(suggested)
  const deckText = useMemo(() => asDeckText(text, headings, foreign), [text, headings, foreign])
  return (
    <>
      {headings.length > 0 && <DocumentOutline headings={headings} onChange={setHeadings} />}
      {children(deckText)}
    </>
  )
}

type DestinationsProps = { text: string; name: string; language: string; onClose: () => void }

function Destinations({ text, name, language, onClose }: DestinationsProps) {
  const store = useSessionStore()
  const site = useSession((state) => state.session.site)
  const page = useSession(pageOf)
  const deck = useMemo(() => parseDeck(text, deckLinks(site)), [text, site])
  const strangers = deck.pages.filter((one) => one.name !== '' && !pageFor(site, one.name, page.id))
  // The first page of a document that knows none of the site's pages is most likely meant for the empty page at hand.
  const first = (i: number): Destination =>
    i === 0 && page.sections.length === 0 && strangers.length === deck.pages.length ? 'this' : 'new'
  const [chosen, setChosen] = useState<Record<string, Destination>>({})
  const destinationOf = (one: string): Destination =>
    chosen[one] ?? first(strangers.findIndex((other) => sameName(other.name, one)))
  const passages = deck.pages.flatMap((one) => one.sections.flatMap((section) => section.passages)).length
  const take = () => {
    if (
      importDeck(
        store,
        deck,
        language,
        Object.fromEntries(strangers.map((one) => [one.name, destinationOf(one.name)])),
        name || 'pasted text',
      )
    ) {
      toast.success(`${passages} ${passages === 1 ? 'passage' : 'passages'} imported. Undo brings back the deck as it was.`)
      onClose()
    }
  }
  const options = [
    { value: 'this' as const, label: `is this page, “${page.name}”` },
    { value: 'new' as const, label: 'becomes a new page' },
    { value: 'keep' as const, label: 'is kept, without a page' },
  ]
  return (
    <>
      {passages > 0 && (
        <div className="border-t border-line pt-2">
          <p>
            <span className="figure">{passages}</span> passages in{' '}
            <span className="figure">{deck.pages.reduce((sum, one) => sum + one.sections.length, 0)}</span> sections.{' '}
            {strangers.length === 0
              ? 'Every page of the document is a page of this site.'
              : strangers.length === deck.pages.length
                ? 'Its headings match no page of this site:'
                : 'Some of its headings match no page of this site:'}
          </p>
          {strangers.map((one) => (
            <div key={one.name} className="mt-1.5 flex items-center gap-2">
              <span className="min-w-0 flex-1 truncate font-semibold">{one.name}</span>
              <Choice
                className="w-64"
                label={`What becomes of ${one.name}`}
                value={destinationOf(one.name)}
                options={options}
                onChange={(next) => setChosen({ ...chosen, [one.name]: next })}
              />
            </div>
          ))}
        </div>
      )}
      <div className="flex justify-end gap-2">
        <Button onClick={onClose}>Cancel</Button>
        <Button look="primary" disabled={passages === 0} onClick={take}>
          Import
        </Button>
      </div>
    </>
  )
}
