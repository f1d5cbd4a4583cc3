import { SHARE, shareOf, titleOf } from '#core/render/site-address'
import { useSession } from '../session/context'
import { pageOf } from '../session/store'

/** A page as it is shown where somebody shares a link to it: the picture as it is cut out, and the words beneath. */
export function LinkPreview() {
  const site = useSession((state) => state.session.site)
  const page = useSession(pageOf)
  const { language, launch } = site
  const picture = shareOf(site, page)
  const { x, y } = { x: 50, y: 50, ...picture?.focal }
  return (
    <figure className="border border-line-strong bg-field" data-shared={picture?.id ?? 'none'}>
      <div className="relative bg-ground" style={{ aspectRatio: `${SHARE.width} / ${SHARE.height}` }}>
        {picture ? (
          <img
            src={`/pictures/${picture.hash}?w=640`}
            alt=""
            className="h-full w-full object-cover"
            style={{ objectPosition: `${x}% ${y}%` }}
          />
        ) : (
          <p className="absolute inset-0 grid place-items-center text-label text-ink-2">No picture</p>
        )}
      </div>
      <figcaption className="px-3 py-2">
        <p className="figure truncate text-muted">
          {launch?.address?.replace(/^https:\/\//, '').split('/')[0] ?? 'address not set'}
        </p>
        <p className="line-clamp-2 font-semibold">{titleOf(site, page, language)}</p>
        <p className="line-clamp-2 text-label text-ink-2">{page.description[language]}</p>
      </figcaption>
    </figure>
  )
}
