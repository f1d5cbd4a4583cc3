import { asResult, RESULT } from '#core/analysis/result-width'
import { pageFile } from '#core/render/own-links'
import { titleOf } from '#core/render/site-address'
import { useSession } from '../session/context'
import { pageOf } from '../session/store'

/** A page as results of search show it: its address, its title and its description, each cut where they cut it. */
export function ResultPreview() {
  const site = useSession((state) => state.session.site)
  const page = useSession(pageOf)
  const { language, launch } = site
  const title = asResult(titleOf(site, page, language), RESULT.title)
  const description = asResult(page.description[language] ?? '', RESULT.description)
  const host = launch?.address?.replace(/^https:\/\//, '') ?? 'address not set'
  return (
    <figure
      className="border-l-2 border-yarrow bg-field px-3 py-2"
      data-result={title.isCut || description.isCut ? 'cut' : 'whole'}
    >
      <figcaption className="mb-1 text-label text-muted">In results of search</figcaption>
      <p className="figure truncate text-ink-2">
        {host}
        {page.address === '' ? '' : ` / ${pageFile(page)}`}
      </p>
      <p className="font-[Arial,'Liberation_Sans',sans-serif] text-[20px] leading-[26px]">{title.shown}</p>
      <p className="max-w-[480px] font-[Arial,'Liberation_Sans',sans-serif] text-[14px] leading-[20px] text-ink-2">
        {description.shown || 'Without a description, results take words out of the page.'}
      </p>
    </figure>
  )
}
