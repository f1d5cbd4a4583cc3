import { counted } from '#core/values/counted'
import { calledFirst } from '#core/blocks/called'
import type { AccessRead } from '#core/render/access-script'
import type { Page } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { useSession } from '../session/context'
import type { Shown } from './finding-lists'

/** The way of the focus through the page at each view: drawn on the page once it is asked for. */
export function FocusOrder({ reads, page, onShow }: { reads: readonly AccessRead[]; page: Page; onShow: (at: Shown) => void }) {
  const language = useSession((state) => state.session.site.language)
  const names = new Map([...walkPage(page)].map((one) => [one.id, calledFirst({ block: one }, language)]))
  return (
    <div className="mt-4 border-t border-line-strong pt-2">
      <h3 className="mb-1 text-label font-semibold">The way of the focus</h3>
      <p className="flex flex-wrap gap-2">
        {reads.map(({ width, order }) => (
          <button
            key={width}
            type="button"
            className="min-h-6 rounded-2 border border-line-strong bg-field px-2 text-label hover:border-ink"
            onClick={() => onShow({ block: null, width, order })}
          >
            {counted(order.length, 'stop')} at {width} px
          </button>
        ))}
      </p>
      <ol className="mt-2 columns-2 text-label text-ink-2" aria-label="Stops of the focus">
        {(reads[0]?.order ?? []).map(({ block }, n) => (
          <li key={n} className="truncate">
            <span className="figure mr-1.5 text-muted">{n + 1}</span>
            {block === undefined ? 'a link of our own, as the one to the content' : (names.get(block) ?? 'a block that is gone')}
          </li>
        ))}
      </ol>
    </div>
  )
}
