import { useNavigate } from 'react-router'
import { RESULT, resultWidth } from '#core/analysis/result-width'
import { addressSchema } from '#core/site/address'
import type { Page } from '#core/site/schema'
import { slug } from '#core/render/names'
import { Button } from '../../ui/button'
import { useSessionStore, useSession } from '../../session/context'
import { addPage, removePage, setAddress } from '../pages'
import { edit } from '../../session/store'
import { TravelRows } from './travel-rows'

type TextProps = { label: string; value: string; note: string; onTake: (value: string) => void }

function Text({ label, value, note, onTake }: TextProps) {
  return (
    <label className="block">
      <span className="text-label text-ink-2">{label}</span>
      <input
        key={value}
        className="mt-0.5 h-[28px] w-full rounded-2 border border-line-strong bg-field px-2"
        defaultValue={value}
        onBlur={(event) => event.target.value !== value && onTake(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
      <span className="mt-0.5 block text-label text-muted">{note}</span>
    </label>
  )
}

/** How wide a text is in results of search, which cut what is wider. */
const cutNote = (what: keyof typeof RESULT, text: string): string =>
  `${Math.round(resultWidth(text, RESULT[what].size))} of the ${RESULT[what].room} px that search results show`

/** The page itself: its name, address, and what search results show of it. */
export function PageColumn({ page }: { page: Page }) {
  const store = useSessionStore()
  const navigate = useNavigate()
  const { siteId } = store.getState()
  const site = useSession((state) => state.session.site)
  const { language } = site
  const set = (values: Partial<Pick<Page, 'name' | 'title' | 'description'>>) =>
    edit(store, { kind: 'page-field', page: page.id, values })
  const title = page.title[language] ?? ''
  const description = page.description[language] ?? ''
  const open = (id: string) => void navigate(`/sites/${siteId}/pages/${id}/compose`)

  return (
    <div className="grid max-w-4xl grid-cols-2 gap-x-6 gap-y-1.5">
      <Text
        label="Name of the page"
        value={page.name}
        note="Shown here and in links"
        onTake={(name) => name.trim() !== '' && set({ name: name.trim() })}
      />
      <Text
        label="Address"
        value={page.address}
        note={page.address === '' ? 'The first page of the site: index.html' : `${page.address}.html`}
        onTake={(value) => setAddress(store, page, addressSchema.safeParse(value).success ? value : slug(value))}
      />
      <Text
        label="Title"
        value={title}
        note={title === '' ? `Without one, “${page.name} · ${site.name}” is used` : cutNote('title', title)}
        onTake={(value) => set({ title: { ...page.title, [language]: value.slice(0, 200) } })}
      />
      <Text
        label="Description"
        value={description}
        note={description === '' ? 'Search results show it under the title' : cutNote('description', description)}
        onTake={(value) => set({ description: { ...page.description, [language]: value.slice(0, 500) } })}
      />
      <TravelRows />
      <div className="col-span-2 flex gap-2">
        <Button onClick={() => store.setState({ pagesOpen: true })}>All pages</Button>
        <Button onClick={() => addPage(store, open)}>Add a page</Button>
        {site.pages.length > 1 && (
          <Button look="danger" onClick={() => removePage(store, page, open)}>
            Delete this page
          </Button>
        )}
      </div>
    </div>
  )
}
