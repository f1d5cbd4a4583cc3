import { walkPage } from '#core/site/tree'
import type { PageChange, Travel } from '#core/site/travel'
import { useFrames } from '../../live/frames'
import { useSession, useSessionStore } from '../../session/context'
import { edit, pageOf } from '../../session/store'
import { NumberField } from '../../ui/number-field'
import { Segments } from './segments'

/** The height of the tallest section that is sticky at the top, in the open views, px; 0 for none. */
function useStickyHeight(): number {
  const frames = useFrames()
  const page = useSession(pageOf)
  useSession((state) => state.layout)
  const sticky = [...walkPage(page)].filter((one) => one.kind === 'section' && one.style.base?.position === 'sticky')
  const heights = [...frames.values()].flatMap(({ frame }) =>
    sticky.map((one) => frame.find(one.id)?.getBoundingClientRect().height ?? 0),
  )
  return Math.ceil(Math.max(0, ...heights))
}

/** How visitors get from place to place on all pages: to a section, and from one page to the next. */
export function TravelRows() {
  const store = useSessionStore()
  const travel = useSession((state) => state.session.site.travel) ?? {}
  const header = useStickyHeight()
  const set = (values: { [K in keyof Travel]: Travel[K] | undefined }) => {
    const next = Object.fromEntries(Object.entries({ ...travel, ...values }).filter(([, value]) => value !== undefined))
    edit(store, { kind: 'site', field: 'travel', value: next })
  }
  return (
    <div role="group" aria-label="From place to place" className="col-span-2 flex flex-wrap items-center gap-x-4 gap-y-1">
      <label className="flex min-h-6 items-center gap-2">
        <input
          type="checkbox"
          className="accent-ink"
          checked={travel.smooth === true}
          onChange={(event) => set({ smooth: event.target.checked || undefined })}
        />
        Glides to sections
      </label>
      <span className="flex w-[190px] items-center gap-2">
        <span className="shrink-0 text-label text-ink-2">Stops below</span>
        <NumberField
          className="min-w-0 flex-1"
          label="How far below the top of the window a section stops"
          unit="px"
          placeholder="0"
          value={travel.below ?? null}
          least={0}
          most={400}
          onClear={() => set({ below: undefined })}
          onChange={(below) => set({ below: below === 0 ? undefined : below })}
        />
      </span>
      {header > 0 && header !== travel.below && (
        <button type="button" className="underline" onClick={() => set({ below: header })}>
          {header} px, as the sticky header is high
        </button>
      )}
      <span className="flex min-w-[300px] items-center gap-2">
        <span className="shrink-0 text-label text-ink-2">Pages follow</span>
        <Segments<PageChange | 'once'>
          label="How a page follows another"
          value={travel.change?.kind ?? 'once'}
          options={[
            { value: 'once', label: 'At once' },
            { value: 'fade', label: 'Fading' },
            { value: 'slide', label: 'Sliding' },
          ]}
          onChange={(kind) => set({ change: kind === 'once' ? undefined : { kind, seconds: travel.change?.seconds ?? 0.3 } })}
        />
      </span>
      {travel.change && (
        <NumberField
          className="w-[96px]"
          label="How long a page takes to follow"
          unit="s"
          value={travel.change.seconds}
          least={0.05}
          most={2}
          step={0.05}
          onChange={(seconds) => set({ change: { ...travel.change!, seconds } })}
        />
      )}
    </div>
  )
}
