import { useMemo } from 'react'
import { slotsOf } from '#core/deck/slots'
import { plainText } from '#core/values/words'
import { useSession, useSessionStore } from '../session/context'
import { edit, pageOf } from '../session/store'

/** Passages of the page that have no words in another language yet, each with those of the first beside it, to be written there. */
export function MissingWords({ language }: { language: string }) {
  const first = useSession((state) => state.session.site.language)
  const page = useSession(pageOf)
  const missing = useMemo(
    () =>
      page.sections.flatMap((section) =>
        slotsOf(section).flatMap(({ block }) => {
          const said = plainText(block.words[first] ?? []).trim()
          const own = plainText(block.words[language] ?? []).trim()
          return said !== '' && own === '' ? [{ id: block.id, said }] : []
        }),
      ),
    [page, first, language],
  )
  if (language === first || missing.length === 0) return null
  return (
    <section
      aria-label="Not written yet"
      className="relative max-h-[40%] shrink-0 overflow-y-auto border-b border-line-strong bg-panel px-3 py-2"
    >
      <h2 className="mb-1 text-label font-semibold">Not written yet in this language: {missing.length}</h2>
      <ul>
        {missing.map(({ id, said }) => (
          <li key={id} className="grid grid-cols-2 items-center gap-2 py-0.5">
            <span className="truncate text-ink-2" title={said}>
              {said}
            </span>
            <Passage block={id} said={said} language={language} />
          </li>
        ))}
      </ul>
    </section>
  )
}

function Passage({ block, said, language }: { block: string; said: string; language: string }) {
  const store = useSessionStore()
  const take = (text: string) => {
    if (text.trim() !== '') edit(store, { kind: 'words', block, words: { [language]: [text.trim()] } })
  }
  return (
    <input
      defaultValue=""
      aria-label={`“${said.slice(0, 40)}” in this language`}
      lang={language}
      className="h-[26px] min-w-0 rounded-2 border border-line-strong bg-field px-2"
      // Taken once it is whole: after its first letter it would be missing no more.
      onBlur={(event) => take(event.target.value)}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  )
}
