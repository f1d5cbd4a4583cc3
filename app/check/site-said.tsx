import { ICON_SVG, iconOf, isDrawing } from '#core/render/site-icons'
import { isFilm } from '#core/picture/picture'
import { launchSchema, siteAddressSchema, type SiteIcon } from '#core/site/launch'
import { NOT_FOUND } from '#core/render/site-address'
import { useSession, useSessionStore } from '../session/context'
import { Button } from '../ui/button'
import { Choice } from '../ui/choice'
import { addNotFound } from './not-found'
import { SaidField } from './said-field'
import { setLaunch } from './set-launch'

const [NONE, LETTER] = ['none', 'letter']

/** What is said of the site elsewhere: its address and owner, its icon, the picture of its shared links. */
export function SiteSaid() {
  const store = useSessionStore()
  const site = useSession((state) => state.session.site)
  const { launch, pictures, guide, pages } = site
  const still = pictures.filter((one) => !isFilm(one)).map((one) => ({ value: one.id, label: one.name.replace(/\.[a-z]+$/i, '') }))
  const icon = launch?.icon
  const roles = guide.colours.map(({ role }) => ({ value: role, label: role }))
  const setIcon = (next: SiteIcon | undefined) => setLaunch(store, { icon: next })
  const firstLetter = (): SiteIcon => ({
    letter: site.name.trim()[0]?.toUpperCase() ?? 'A',
    ground: roles.find(({ value }) => value === 'primary')?.value ?? roles[0]?.value ?? 'ink',
    ink: roles.find(({ value }) => value === 'on-primary')?.value ?? roles.at(-1)?.value ?? 'ground',
  })
  return (
    <div className="grid gap-2" role="group" aria-label="What is said of the site">
      <div className="grid grid-cols-2 gap-2">
        <SaidField
          label="Address"
          value={launch?.address ?? ''}
          placeholder="https://example.org"
          onTake={(text) => {
            const address = text.replace(/(?<!\/)\/+$/, '')
            const read = siteAddressSchema.safeParse(address)
            if (address !== '' && !read.success) return read.error.issues[0]!.message
            setLaunch(store, { address: address === '' ? undefined : address })
            return undefined
          }}
        />
        <SaidField
          label="Whose it is"
          value={launch?.owner ?? ''}
          placeholder="A person or an organisation"
          onTake={(text) => {
            const read = launchSchema.shape.owner.safeParse(text === '' ? undefined : text)
            if (!read.success) return 'The name may have 120 characters at most.'
            setLaunch(store, { owner: read.data })
            return undefined
          }}
        />
        <div>
          <span className="block text-label text-ink-2">Picture of shared links</span>
          <Choice
            className="w-full"
            label="Picture of shared links of the site"
            value={launch?.share ?? NONE}
            options={[{ value: NONE, label: 'None' }, ...still]}
            onChange={(id) => setLaunch(store, { share: id === NONE ? undefined : id })}
          />
        </div>
        <div>
          <span className="block text-label text-ink-2">Icon</span>
          <div className="flex items-center gap-2">
            <IconShown />
            <Choice
              className="min-w-0 flex-1"
              label="Icon of the site"
              value={icon === undefined ? NONE : 'letter' in icon ? LETTER : icon.picture}
              options={[{ value: NONE, label: 'None' }, { value: LETTER, label: 'A letter' }, ...still]}
              onChange={(id) => setIcon(id === NONE ? undefined : id === LETTER ? firstLetter() : { picture: id })}
            />
          </div>
        </div>
      </div>
      {icon && 'letter' in icon && (
        <div className="grid grid-cols-3 gap-2">
          <SaidField
            label="Letter"
            value={icon.letter}
            onTake={(text) => {
              if ([...text].length < 1 || text.length > 2) return 'The icon has one or two letters.'
              setIcon({ ...icon, letter: text })
              return undefined
            }}
          />
          {(['ground', 'ink'] as const).map((part) => (
            <div key={part}>
              <span className="block text-label text-ink-2">{part === 'ground' ? 'On' : 'In'}</span>
              <Choice
                className="w-full"
                label={part === 'ground' ? 'Colour that the letter stands on' : 'Colour of the letter'}
                value={icon[part]}
                options={roles}
                onChange={(role) => setIcon({ ...icon, [part]: role })}
              />
            </div>
          ))}
        </div>
      )}
      {!pages.some((one) => one.address === NOT_FOUND) && (
        <p>
          <Button onClick={() => addNotFound(store)}>Add a page for what is not found</Button>
        </p>
      )}
    </div>
  )
}

/** The icon, small, as the export has it; once it is kept. */
function IconShown() {
  const { siteId } = useSessionStore().getState()
  const site = useSession((state) => state.session.site)
  const icon = iconOf(site)
  const revision = useSession((state) => (state.session.pending.length === 0 ? state.session.revision : null))
  if (!icon || revision === null) return <span className="h-6 w-6 shrink-0 border border-dashed border-line-strong" />
  const file = isDrawing(icon) ? ICON_SVG : 'icon-192.png'
  return <img src={`/visit/${siteId}/${file}?revision=${revision}`} alt="" className="h-6 w-6 shrink-0" />
}
