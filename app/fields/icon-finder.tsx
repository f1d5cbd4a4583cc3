import { Upload } from 'lucide-react'
import { useEffect, useRef, useState } from 'react'
import { toast } from 'sonner'
import type { Icon } from '#core/values/icon'
import { ask } from '../ui/ask'
import { FileInput } from '../ui/file-input'

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

/** Takes an SVG file as an icon: cleaned, on the field of all others, and in one colour. */
function OwnIcon({ onChoose }: { onChoose: (icon: Icon) => void }) {
  const input = useRef<HTMLInputElement>(null)
  const take = async (file: File | undefined) => {
    if (!file) return
    const body = new FormData()
    body.set('icon', file)
    const answer = await ask<Icon>(`"${file.name}" was not taken`, '/icons/own', { method: 'POST', body })
    if ('problem' in answer) toast.error(answer.problem)
    else onChoose(answer)
  }
  return (
    <>
      <button
        type="button"
        aria-label="Own icon"
        title="Take an SVG file as an icon"
        className="flex h-[26px] w-[26px] shrink-0 items-center justify-center rounded-2 border border-line-strong bg-field hover:border-ink"
        onClick={() => input.current?.click()}
      >
        <Upload size={14} strokeWidth={1.5} />
      </button>
      <FileInput ref={input} label="Take an SVG file as an icon" takes={['icon']} onTake={([file]) => void take(file)} />
    </>
  )
}

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
      <span className="flex items-center gap-1">
        <input
          aria-label="Find an icon"
          placeholder="Find: arrow, clock, ticket …"
          className="my-1 h-[26px] w-full rounded-2 border border-line-strong bg-field px-2"
          value={query}
          onChange={(event) => setQuery(event.target.value)}
        />
        <OwnIcon onChoose={onChoose} />
      </span>
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
