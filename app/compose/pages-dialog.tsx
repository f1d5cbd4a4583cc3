import { ArrowDown, ArrowUp } from 'lucide-react'
import { useNavigate } from 'react-router'
import { brokenLinks } from '#core/analysis/links'
import { addressSchema } from '#core/site/address'
import { slug } from '#core/render/names'
import { Button, IconButton } from '../ui/button'
import { VerdictLine } from '../ui/verdict'
import { useSessionStore, useSession } from '../session/context'
import { addPage, removePage, setAddress } from './pages'
import { edit, pageOf, select } from '../session/store'
import { TitledDialog } from '../ui/dialog'

/** The pages of the site: their order, names and addresses, whether navigation lists them, and links that lead nowhere. */
export function PagesDialog({ onClose }: { onClose: () => void }) {
  const store = useSessionStore()
  const navigate = useNavigate()
  const site = useSession((state) => state.session.site)
  const here = useSession(pageOf)
  const broken = brokenLinks(site)
  const open = (id: string) => void navigate(`/sites/${store.getState().siteId}/pages/${id}/compose`)
  const field = 'h-[28px] min-w-0 rounded-2 border border-line-strong bg-field px-2'
  return (
    <TitledDialog title="Pages" className="top-[10vh] max-h-[80vh] w-[720px] overflow-auto" onClose={onClose}>
      <p className="mb-3 text-ink-2">
        Navigation that follows the pages lists them in this order, under these names. Links follow an address that changes.
      </p>
      <ol>
        {site.pages.map((page, i) => (
          <li
            key={page.id}
            className={`grid grid-cols-[56px_1fr_1fr_auto_auto] items-center gap-2 border-b border-line py-1.5 ${page === here ? 'bg-wash' : ''}`}
          >
            <span className="flex">
              <IconButton
                label={`Move ${page.name} up`}
                disabled={i === 0}
                onClick={() => edit(store, { kind: 'page-move', page: page.id, index: i - 1 })}
              >
                <ArrowUp size={14} strokeWidth={1.5} />
              </IconButton>
              <IconButton
                label={`Move ${page.name} down`}
                disabled={i === site.pages.length - 1}
                onClick={() => edit(store, { kind: 'page-move', page: page.id, index: i + 1 })}
              >
                <ArrowDown size={14} strokeWidth={1.5} />
              </IconButton>
            </span>
            <input
              key={`name ${page.name}`}
              aria-label={`Name of page ${i + 1}`}
              className={field}
              defaultValue={page.name}
              onBlur={(event) => {
                const name = event.target.value.trim()
                if (name !== '' && name !== page.name)
                  edit(store, { kind: 'page-field', page: page.id, values: { name: name.slice(0, 120) } })
              }}
              onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
            />
            <span className="flex items-center gap-1">
              <span className="text-muted">/</span>
              <input
                key={`address ${page.address}`}
                aria-label={`Address of ${page.name}`}
                className={`figure flex-1 ${field}`}
                placeholder="first page"
                defaultValue={page.address}
                onBlur={(event) => {
                  const { value } = event.target
                  const address = addressSchema.safeParse(value).success ? value : slug(value)
                  if (address !== page.address) setAddress(store, page, address)
                }}
                onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
              />
            </span>
            <label className="flex items-center gap-1.5 whitespace-nowrap text-label">
              <input
                type="checkbox"
                className="accent-ink"
                checked={!page.unlisted}
                onChange={(event) =>
                  edit(store, { kind: 'page-field', page: page.id, values: { unlisted: !event.target.checked } })
                }
              />
              In navigation
            </label>
            <span className="flex gap-1">
              <Button
                className="!h-[26px] !px-2"
                onClick={() => {
                  open(page.id)
                  onClose()
                }}
              >
                Open
              </Button>
              <Button
                look="danger"
                className="!h-[26px] !px-2"
                disabled={site.pages.length === 1}
                aria-label={`Delete ${page.name}`}
                onClick={() => removePage(store, page, open)}
              >
                Delete
              </Button>
            </span>
          </li>
        ))}
      </ol>
      <Button className="mt-3" onClick={() => addPage(store, open)}>
        Add a page
      </Button>
      <h3 className="mb-1 mt-5 border-t border-line-strong pt-2 font-semibold">Links</h3>
      {broken.length === 0 && <VerdictLine ok>Every link of the site leads to a place that exists.</VerdictLine>}
      {broken.map((one, i) => (
        <VerdictLine
          key={i}
          ok={false}
          onShow={() => {
            if (one.page !== here.id) open(one.page)
            select(store, one.block)
            onClose()
          }}
        >
          {one.sentence}
        </VerdictLine>
      ))}
    </TitledDialog>
  )
}
