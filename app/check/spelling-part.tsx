import { useEffect, useMemo, useState } from 'react'
import { Link } from 'react-router'
import { namesOf, wordsToSpell } from '#core/analysis/spelling'
import type { Page, Site } from '#core/site/schema'
import { useSessionStore } from '../session/context'
import { ask } from '../ui/ask'
import { Button } from '../ui/button'
import { setLaunch } from './set-launch'

type UnknownWord = { word: string; meant: string[] }
type Spelt = { unknown: UnknownWord[] | null } | { problem: string }

/** Words of the page that no dictionary has, and are none of the site's own. */
export function SpellingPart({ site, page }: { site: Site; page: Page }) {
  const store = useSessionStore()
  const words = useMemo(() => wordsToSpell(site, page), [site, page])
  const own = site.launch?.words
  const asked = useMemo(
    () => JSON.stringify({ language: site.language, words: words.map((one) => one.word), own: [...(own ?? []), ...namesOf(site)] }),
    [site, words, own],
  )
  const [spelt, setSpelt] = useState<Spelt | null>(null)
  useEffect(() => {
    const giveUp = new AbortController()
    void (async () => {
      const answer = await ask<UnknownWord[] | object>('The words were not looked up', '/spelling', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: asked,
        signal: giveUp.signal,
      })
      if (giveUp.signal.aborted) return
      setSpelt(answer && 'problem' in answer ? { problem: String(answer.problem) } : { unknown: answer as UnknownWord[] | null })
    })()
    return () => giveUp.abort()
  }, [asked])
  const unknown = spelt && 'unknown' in spelt ? spelt.unknown : undefined
  const keep = (more: readonly string[]) => setLaunch(store, { words: [...new Set([...(own ?? []), ...more])] })
  return (
    <div data-unknown={unknown?.length}>
      <header className="mb-1 flex items-center gap-2">
        <h3 className="text-label font-semibold">Spelling</h3>
        <span className="ml-auto text-label text-ink-2" role="status">
          {spelt === null
            ? 'Looking the words up'
            : 'problem' in spelt
              ? spelt.problem
              : unknown === null
                ? `There is no dictionary of “${site.language}” here, so words are not looked up.`
                : unknown!.length === 0
                  ? `${words.length} words, all known`
                  : `${unknown!.length} of ${words.length} words are in no dictionary`}
        </span>
        {unknown && unknown.length > 1 && (
          <Button className="!h-6" onClick={() => keep(unknown.map((one) => one.word))}>
            All are right here
          </Button>
        )}
      </header>
      <ul aria-label="Words that no dictionary has">
        {(unknown ?? []).map(({ word, meant }) => (
          <li key={word} className="flex items-center gap-3 border-t border-line py-1">
            <span className="font-semibold">{word}</span>
            {meant.length > 0 && <span className="truncate text-label text-ink-2">perhaps {meant.join(', ')}</span>}
            <Link
              className="ml-auto inline-flex min-h-6 items-center underline"
              to={`/sites/${store.getState().siteId}/pages/${page.id}/compose#${words.find((one) => one.word === word)?.block ?? ''}`}
            >
              Show
            </Link>
            <Button className="!h-6" aria-label={`“${word}” is right here`} onClick={() => keep([word])}>
              Right here
            </Button>
          </li>
        ))}
      </ul>
      {own && own.length > 0 && (
        <details className="border-t border-line py-1">
          <summary className="min-h-6 cursor-pointer text-label text-ink-2">
            {own.length} {own.length === 1 ? 'word is' : 'words are'} the site’s own
          </summary>
          <ul className="flex flex-wrap gap-1 pt-1">
            {own.map((word) => (
              <li key={word}>
                <button
                  type="button"
                  className="min-h-6 rounded-2 border border-line-strong bg-field px-1.5 text-label hover:border-ink"
                  title="Take it out of the site’s own words"
                  onClick={() => {
                    const left = own.filter((one) => one !== word)
                    setLaunch(store, { words: left.length > 0 ? left : undefined })
                  }}
                >
                  {word} ×
                </button>
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  )
}
