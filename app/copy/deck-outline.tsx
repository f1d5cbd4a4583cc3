import { useDeferredValue, useMemo } from 'react'

type Heading = { level: 1 | 2; name: string; line: number }

/** Headings of pages and sections in a deck, with their lines. */
export function headingsOf(text: string): Heading[] {
  return text.split('\n').flatMap((line, i): Heading[] => {
    const [, signs, words] = /^(#{1,2})\s+(\S.*)$/.exec(line) ?? []
    // Signs at its end are no words of a heading (CommonMark, 4.2).
    const name = words?.replace(/(?<!#)#+$/, '').trimEnd()
    return signs && name ? [{ level: signs.length as 1 | 2, name, line: i }] : []
  })
}

/** The headings of the deck, to go to. */
export function DeckOutline({ text, onGo }: { text: string; onGo: (line: number) => void }) {
  const shown = useDeferredValue(text)
  const headings = useMemo(() => headingsOf(shown), [shown])
  return (
    <nav
      aria-label="Outline of the deck"
      className="relative w-[124px] shrink-0 overflow-y-auto border-r border-line bg-panel py-2"
    >
      {headings.map(({ level, name, line }) => (
        <button
          key={line}
          type="button"
          className={`block w-full truncate px-2.5 py-1 text-left text-label hover:bg-ground ${level === 1 ? 'mt-1.5 font-semibold' : 'pl-4 text-ink-2'}`}
          onClick={() => onGo(line)}
        >
          {name}
        </button>
      ))}
      {headings.length === 0 && <p className="px-2.5 text-label text-muted">Headings stand here.</p>}
    </nav>
  )
}
