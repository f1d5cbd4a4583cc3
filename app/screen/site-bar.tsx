import { Redo2, Undo2, UsersRound } from 'lucide-react'
import { type ReactNode, useMemo } from 'react'
import { useSessionStore, useSession } from '../session/context'
import { useLooked } from '../session/looked'
import { pageOf, redo, undo } from '../session/store'
import { BarButton } from './bar-button'
import { useRested } from '../ui/lagging'
import { stepsOf } from '../ui/steps'
import { TopBar } from '../ui/top-bar'
import { StepsList } from './steps-list'

type SiteBarProps = {
  /** Name of the screen in its address, for going to the same screen of another page. */
  screen: string
  exportedRevision: number | null
  /** Opens the list of all pages, where the screen has one. */
  onPages?: () => void
  /** Further tools, beside undo and redo. */
  tools?: ReactNode
  /** The screen's one primary action. */
  children?: ReactNode
}

/** The top bar of a screen that edits a site: path, undo and redo, the screen's tools, and whether all is saved. */
export function SiteBar({ screen, exportedRevision, onPages, tools, children }: SiteBarProps) {
  const store = useSessionStore()
  // What is complete is worked out once nothing has been changed for a moment.
  const site = useRested(useSession((state) => state.session.site))
  const pageId = useSession((state) => pageOf(state).id)
  const page = site.pages.find((one) => one.id === pageId) ?? site.pages[0]!
  const { siteId } = store.getState()
  const revision = useSession((state) => state.session.revision)
  const undoStep = useSession((state) => state.undo.at(-1))
  const redoStep = useSession((state) => state.redo.at(-1))
  const exported = exportedRevision !== null && exportedRevision === revision
  const looked = useLooked()
  const steps = useMemo(() => stepsOf({ siteId, site, page, exported, looked }), [siteId, site, page, exported, looked])
  return (
    <TopBar
      siteName={site.name}
      pageName={page.name}
      pages={site.pages.map((one) => ({ id: one.id, name: one.name, to: `/sites/${siteId}/pages/${one.id}/${screen}` }))}
      onPages={onPages}
      steps={steps}
    >
      <div className="flex items-center text-on-ink-2">
        <BarButton label={undoStep ? `Undo ${undoStep.label}` : 'Nothing to undo'} disabled={!undoStep} onClick={() => undo(store)}>
          <Undo2 size={16} strokeWidth={1.5} />
        </BarButton>
        <BarButton label={redoStep ? `Redo ${redoStep.label}` : 'Nothing to redo'} disabled={!redoStep} onClick={() => redo(store)}>
          <Redo2 size={16} strokeWidth={1.5} />
        </BarButton>
        <StepsList />
        {tools}
      </div>
      <Others />
      <SaveState />
      {children}
    </TopBar>
  )
}

/** How many others have this site open, and on which pages. */
function Others() {
  const others = useSession((state) => state.others)
  const pages = useSession((state) => state.session.site.pages)
  if (others.length === 0) return null
  const names = [...new Set(others.map((one) => pages.find(({ id }) => id === one.page)?.name ?? 'a page that is gone'))]
  return (
    <span
      className="flex items-center gap-1.5 whitespace-nowrap text-on-ink-2"
      title={`Open elsewhere, on ${names.join(', ')}`}
      data-others
    >
      <UsersRound aria-hidden size={14} strokeWidth={1.5} />
      {others.length} {others.length === 1 ? 'other' : 'others'}
    </span>
  )
}

const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' })

/** Whether everything is on the server's disk. */
function SaveState() {
  const save = useSession((state) => state.save)
  const unsent = useSession((state) => state.session.pending.length)
  const text =
    save.kind === 'saved'
      ? save.at
        ? `Saved ${clock.format(save.at)}`
        : 'Saved'
      : save.kind === 'saving'
        ? 'Saving'
        : `${unsent} unsent`
  return (
    <span
      role="status"
      title={save.kind === 'waiting' ? save.why : undefined}
      className={`whitespace-nowrap ${save.kind === 'waiting' ? 'bg-rust px-2 py-0.5 text-on-ink' : 'text-on-ink-2'}`}
    >
      {text}
    </span>
  )
}
