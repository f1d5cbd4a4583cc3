import { useEffect, useState } from 'react'
import type { Icon } from '#core/values/icon'

/** An icon of the open set, drawn at 16 px. */
export const IconShape = ({ icon }: { icon: Icon }) => (
  <svg
    aria-hidden
    width="16"
    height="16"
    viewBox="0 0 24 24"
    fill="none"
    stroke="currentColor"
    strokeWidth="1.5"
    strokeLinecap="round"
    strokeLinejoin="round"
  >
    {icon.nodes.map(([Tag, shape], i) => (
      <Tag key={i} {...shape} />
    ))}
  </svg>
)

/** Finds an icon by a word. */
export function IconFinder({ chosen, onChoose }: { chosen: string | undefined; onChoose: (icon: Icon) => void }) {
  const [query, setQuery] = useState('')
  const [icons, setIcons] = useState<Icon[]>([])
  useEffect(() => {
    const request = new AbortController()
    fetch(`/icons?q=${encodeURIComponent(query)}`, { signal: request.signal })
      .then((response) => response.json() as Promise<Icon[]>)
      .then(setIcons)
      .catch(() => undefined)
    return () => request.abort()
  }, [query])
  return (
    <>
      <input
        aria-label="Find an icon"
        placeholder="Find: arrow, clock, ticket …"
        className="my-1 h-[26px] w-full rounded-2 border border-line-strong bg-field px-2"
        value={query}
        onChange={(event) => setQuery(event.target.value)}
      />
      <div className="relative grid max-h-24 grid-cols-9 gap-0.5 overflow-y-auto">
        {icons.map((icon) => (
          <button
            key={icon.name}
            type="button"
            aria-label={icon.name}
            title={icon.name}
            aria-pressed={icon.name === chosen}
            className="flex h-6 items-center justify-center rounded-2 hover:bg-line aria-pressed:bg-ink aria-pressed:text-on-ink"
            onClick={() => onChoose(icon)}
          >
            <IconShape icon={icon} />
          </button>
        ))}
      </div>
      {icons.length === 0 && query !== '' && <p className="text-label text-ink-2">No icon has that word.</p>}
    </>
  )
}
