import { Plus } from 'lucide-react'
import { Popover } from 'radix-ui'
import { useMemo, useState } from 'react'
import { hasWords } from '#core/blocks/tree'
import { walkPage } from '#core/site/tree'
import type { Site } from '#core/site/schema'
import { useSession } from '../session/context'
import { Button, IconButton } from '../ui/button'

/** Languages that some words of the site are in, its first language first. */
export function languagesOf(site: Site): string[] {
  const found = new Set([site.language])
  for (const page of site.pages)
    for (const block of walkPage(page)) if (hasWords(block)) for (const one of Object.keys(block.words)) found.add(one)
  for (const one of site.unplaced) for (const language of Object.keys(one.words)) found.add(language)
  return [...found]
}

const nameOf = (tag: string) => new Intl.DisplayNames(['en'], { type: 'language' }).of(tag) ?? tag

/** The language of the deck that is shown; another is begun by its tag. */
export function LanguageChoice({ language, onChange }: { language: string; onChange: (language: string) => void }) {
  const site = useSession((state) => state.session.site)
  const [tag, setTag] = useState('')
  const [problem, setProblem] = useState('')
  const languages = useMemo(() => [...new Set([...languagesOf(site), language])], [site, language])
  const begin = () => {
    if (!/^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$/.test(tag))
      return setProblem('A language is named by its tag: cy for Welsh, pt-BR for Brazilian Portuguese.')
    setProblem('')
    onChange(tag)
  }
  return (
    <div className="flex items-center gap-1" role="group" aria-label="Language of the deck">
      {languages.map((one) => (
        <button
          key={one}
          type="button"
          aria-pressed={one === language}
          className="h-[24px] rounded-2 border border-line-strong bg-field px-2 text-label aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-on-ink"
          onClick={() => onChange(one)}
        >
          {nameOf(one)}
        </button>
      ))}
      <Popover.Root>
        <Popover.Trigger asChild>
          <IconButton label="Begin another language">
            <Plus size={14} strokeWidth={1.5} />
          </IconButton>
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            sideOffset={4}
            className="z-50 w-64 rounded-2 border border-line-strong bg-field p-3 shadow-float"
            aria-label="Another language"
          >
            <input
              aria-label="Tag of the language"
              placeholder="cy"
              className="figure mb-2 h-[26px] w-full rounded-2 border border-line-strong px-2"
              value={tag}
              onChange={(event) => setTag(event.target.value.trim())}
              onKeyDown={(event) => event.key === 'Enter' && begin()}
            />
            {problem !== '' && <p className="mb-2 text-label text-rust">{problem}</p>}
            <Button onClick={begin}>{tag !== '' && problem === '' ? `Begin ${tag}` : 'Begin'}</Button>
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </div>
  )
}
