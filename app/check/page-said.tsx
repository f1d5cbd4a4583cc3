import { RESULT, resultWidth } from '#core/analysis/result-width'
import { isFilm } from '#core/picture/picture'
import { type About, aboutSchema } from '#core/site/about'
import { useSession, useSessionStore } from '../session/context'
import { edit, pageOf } from '../session/store'
import { Choice } from '../ui/choice'
import { SaidField } from './said-field'

const KINDS = [
  { value: 'page', label: 'A page' },
  { value: 'event', label: 'An event' },
  { value: 'product', label: 'A product' },
] as const
/** What an event or a product begins as. */
const FIRST: Record<'event' | 'product', About> = {
  event: { kind: 'event', starts: '2027-01-01', place: 'Here' },
  product: { kind: 'product', price: '10', currency: 'EUR' },
}
const OF_SITE = 'of-site'

/** What is said of the page elsewhere: its title and description, the picture of its links, what it is about. */
export function PageSaid() {
  const store = useSessionStore()
  const site = useSession((state) => state.session.site)
  const page = useSession(pageOf)
  const { language, pictures, launch } = site
  const set = (values: object) => void edit(store, { kind: 'page-field', page: page.id, values })
  const said = (field: 'title' | 'description') => ({
    value: page[field][language] ?? '',
    note: `${Math.round(resultWidth(page[field][language] ?? '', RESULT[field].size))} of ${RESULT[field].room} px`,
    onTake: (text: string) => {
      const most = field === 'title' ? 200 : 500
      if (text.length > most) return `It may have ${most} characters at most, and has ${text.length}.`
      set({ [field]: { ...page[field], [language]: text } })
      return undefined
    },
  })
  const shared = pictures.find((one) => one.id === launch?.share)
  const options = [
    { value: OF_SITE, label: shared ? `As the site: ${shared.name.replace(/\.[a-z]+$/i, '')}` : 'As the site: none' },
    ...pictures.filter((one) => !isFilm(one)).map((one) => ({ value: one.id, label: one.name.replace(/\.[a-z]+$/i, '') })),
  ]
  return (
    <div className="grid grid-cols-1 gap-2" role="group" aria-label="What is said of the page">
      <SaidField label="Title" {...said('title')} />
      <SaidField label="Description" long {...said('description')} />
      <div className="grid grid-cols-2 gap-2">
        <div>
          <span className="block text-label text-ink-2">Picture of shared links</span>
          <Choice
            className="w-full"
            label="Picture of shared links of the page"
            value={page.share ?? OF_SITE}
            options={options}
            onChange={(id) => set({ share: id === OF_SITE ? null : id })}
          />
        </div>
        <div>
          <span className="block text-label text-ink-2">It is about</span>
          <Choice
            className="w-full"
            label="What the page is about"
            value={page.about?.kind ?? 'page'}
            options={KINDS}
            onChange={(kind) => set({ about: kind === 'page' ? null : FIRST[kind] })}
          />
        </div>
      </div>
      {page.about && <AboutFields about={page.about} onSet={(about) => set({ about })} />}
      <label className="flex min-h-6 items-center gap-2">
        <input
          type="checkbox"
          className="accent-ink"
          checked={page.unsearched === true}
          onChange={(event) => set({ unsearched: event.target.checked })}
        />
        Keep it out of search
      </label>
    </div>
  )
}

/** What machines are told of an event or a product beyond what its blocks say. */
function AboutFields({ about, onSet }: { about: About; onSet: (about: About) => void }) {
  const take = (values: Record<string, string | undefined>) => {
    const read = aboutSchema.safeParse(
      Object.fromEntries(Object.entries({ ...about, ...values }).filter(([, value]) => value !== undefined)),
    )
    if (!read.success) return read.error.issues[0]!.message
    onSet(read.data)
    return undefined
  }
  const field = (name: string, label: string, value: string | undefined, placeholder: string, optional = false) => (
    <SaidField
      key={name}
      label={label}
      value={value ?? ''}
      placeholder={placeholder}
      onTake={(text) => take({ [name]: text === '' && optional ? undefined : text })}
    />
  )
  return (
    <div className="grid grid-cols-3 gap-2">
      {about.kind === 'event'
        ? [
            field('starts', 'Starts', about.starts, '2026-11-27T20:30'),
            field('ends', 'Ends', about.ends, '2026-11-27T22:30', true),
            field('place', 'Place', about.place, 'The great dome'),
          ]
        : [field('price', 'Price', about.price, '12.50'), field('currency', 'Currency', about.currency, 'EUR')]}
    </div>
  )
}
