import { Upload } from 'lucide-react'
import { type DragEvent, useMemo, useRef, useState } from 'react'
import { findPictures, picturesInUse, tagsInUse } from '#core/analysis/picture-uses'
import { isFilm, type Picture } from '#core/picture/picture'
import { useSession, useSessionStore } from '../../session/context'
import { Button } from '../../ui/button'
import { TitledDialog } from '../../ui/dialog'
import { PictureDetails } from './picture-details'
import { ServiceList } from './service-list'
import { type Uploads, uploadMany } from './upload-many'
import { FileInput } from '../../ui/file-input'

type Shelf = 'all' | 'used' | 'unused' | 'service'
const SHELVES: { value: Shelf; label: string }[] = [
  { value: 'all', label: 'All' },
  { value: 'used', label: 'Used' },
  { value: 'unused', label: 'Unused' },
  { value: 'service', label: 'Picture service' },
]

/** The pictures of the site: many dropped at once, found by words and tags, each with its facts and where it is used. */
export function PicturesDialog({ onClose }: { onClose: () => void }) {
  const store = useSessionStore()
  const site = useSession((state) => state.session.site)
  const input = useRef<HTMLInputElement>(null)
  const stop = useRef<AbortController>(null)
  const [shelf, setShelf] = useState<Shelf>('all')
  const [query, setQuery] = useState('')
  const [chosen, setChosen] = useState<string | undefined>(site.pictures[0]?.id)
  const [over, setOver] = useState(false)
  const [uploads, setUploads] = useState<Uploads>()
  const uses = useMemo(() => picturesInUse(site), [site])
  const tags = useMemo(() => tagsInUse(site), [site])
  const found = findPictures(site.pictures, query).filter((one) => shelf === 'all' || uses.has(one.id) === (shelf === 'used'))
  const picture = site.pictures.find((one) => one.id === chosen)
  const unused = site.pictures.filter((one) => !uses.has(one.id)).length

  const take = async (files: readonly File[]) => {
    if (files.length === 0) return
    stop.current = new AbortController()
    setShelf('all')
    const added = await uploadMany(store, files, setUploads, stop.current.signal)
    if (added[0]) setChosen(added[0].id)
  }
  const drop = (event: DragEvent) => {
    event.preventDefault()
    setOver(false)
    void take([...event.dataTransfer.files])
  }
  return (
    <TitledDialog
      title="Pictures"
      className="top-[6vh] flex h-[88vh] w-[min(1180px,94vw)] flex-col"
      onClose={() => {
        stop.current?.abort()
        onClose()
      }}
    >
      <div className="mt-3 flex items-center gap-2">
        <div role="tablist" aria-label="Shelves" className="flex">
          {SHELVES.map(({ value, label }) => (
            <button
              key={value}
              type="button"
              role="tab"
              aria-selected={shelf === value}
              className="h-[28px] border border-line-strong border-r-0 bg-field px-3 last:border-r aria-selected:bg-ink aria-selected:text-on-ink"
              onClick={() => setShelf(value)}
            >
              {label}{' '}
              {value === 'all'
                ? site.pictures.length
                : value === 'unused'
                  ? unused
                  : value === 'used'
                    ? site.pictures.length - unused
                    : ''}
            </button>
          ))}
        </div>
        <input
          aria-label="Find pictures by name and tag"
          placeholder={shelf === 'service' ? 'Find: texture, portrait, hands …' : 'Find by name or tag'}
          className="h-[28px] w-56 rounded-2 border border-line-strong bg-field px-2"
          value={query}
          onChange={(event) => setQuery(event.target.value)}
        />
        <div className="flex min-w-0 flex-1 gap-1 overflow-hidden">
          {shelf !== 'service' &&
            tags.slice(0, 8).map(({ tag, count }) => (
              <button
                key={tag}
                type="button"
                aria-pressed={query === tag}
                className="h-6 shrink-0 rounded-full border border-line-strong px-2 text-label aria-pressed:bg-ink aria-pressed:text-on-ink"
                onClick={() => setQuery(query === tag ? '' : tag)}
              >
                {tag} <span className="figure">{count}</span>
              </button>
            ))}
        </div>
        <Button onClick={() => input.current?.click()}>
          <Upload size={14} strokeWidth={1.5} /> Upload
        </Button>
        <FileInput ref={input} label="Upload pictures" takes={['picture', 'film']} multiple onTake={(files) => void take(files)} />
      </div>
      {uploads && <UploadsShown uploads={uploads} onStop={() => stop.current?.abort()} onClose={() => setUploads(undefined)} />}
      <div className="mt-3 grid min-h-0 flex-1 grid-cols-[1fr_340px] border border-line">
        <div
          data-pictures
          className={`relative overflow-y-auto bg-field p-3 ${over ? 'outline-3 -outline-offset-3 outline-yarrow' : ''}`}
          onDragOver={(event) => {
            if (!event.dataTransfer.types.includes('Files')) return
            event.preventDefault()
            setOver(true)
          }}
          onDragLeave={() => setOver(false)}
          onDrop={drop}
        >
          {shelf === 'service' ? (
            <ServiceList query={query} onTaken={setChosen} />
          ) : (
            <Shelved pictures={found} chosen={chosen} uses={uses} onChoose={setChosen} />
          )}
          {shelf !== 'service' && found.length === 0 && (
            <p className="p-6 text-center text-ink-2">
              {site.pictures.length === 0
                ? 'Drop pictures here, as many as you like: JPEG, PNG, WebP, AVIF or SVG, and videos as MP4 or WebM.'
                : query !== ''
                  ? 'No picture has these words in its name or tags.'
                  : shelf === 'unused'
                    ? 'Every picture is used somewhere.'
                    : 'No picture is used yet.'}
            </p>
          )}
        </div>
        <div className="overflow-y-auto border-l border-line p-4">
          {picture ? (
            <PictureDetails key={picture.id} picture={picture} uses={uses.get(picture.id) ?? []} onClose={onClose} />
          ) : (
            <p className="text-ink-2">Choose a picture to see what is known of it.</p>
          )}
        </div>
      </div>
    </TitledDialog>
  )
}

function Shelved({
  pictures,
  chosen,
  uses,
  onChoose,
}: {
  pictures: readonly Picture[]
  chosen: string | undefined
  uses: ReadonlyMap<string, readonly unknown[]>
  onChoose: (id: string) => void
}) {
  return (
    <ul aria-label="Pictures" className="grid grid-cols-[repeat(auto-fill,minmax(148px,1fr))] gap-3">
      {pictures.map((one) => {
        const count = uses.get(one.id)?.length ?? 0
        return (
          <li key={one.id} className="[content-visibility:auto] [contain-intrinsic-size:148px_130px]">
            <button
              type="button"
              aria-pressed={one.id === chosen}
              className="block w-full border-2 border-transparent p-1 text-left hover:border-line-strong aria-pressed:border-yarrow"
              onClick={() => onChoose(one.id)}
            >
              {isFilm(one) ? (
                <video
                  src={`/pictures/${one.hash}#t=0.1`}
                  preload="metadata"
                  muted
                  className="aspect-[4/3] w-full bg-ink object-contain"
                />
              ) : (
                <img
                  src={`/pictures/${one.hash}${one.type === 'image/svg+xml' ? '' : '?w=320'}`}
                  alt=""
                  loading="lazy"
                  decoding="async"
                  className="aspect-[4/3] w-full bg-ground object-contain"
                />
              )}
              <span className="mt-1 flex justify-between gap-2 text-label">
                <span className="truncate">{one.name}</span>
                <span className={`figure shrink-0 ${count === 0 ? 'text-muted' : 'text-ink-2'}`}>
                  {count === 0 ? 'unused' : `× ${count}`}
                </span>
              </span>
            </button>
          </li>
        )
      })}
    </ul>
  )
}

function UploadsShown({ uploads, onStop, onClose }: { uploads: Uploads; onStop: () => void; onClose: () => void }) {
  const { of, done, refused } = uploads
  const ended = done === of
  return (
    <div role="status" className="mt-3 border border-line bg-ground px-3 py-2">
      <div className="flex items-center gap-3">
        <progress className="h-2 flex-1 accent-reed" max={of} value={done} aria-label="Pictures sent" />
        <span className="figure">
          {done} of {of}
          {refused.length > 0 ? `, ${refused.length} refused` : ''}
        </span>
        <button type="button" className="min-h-6 text-label underline" onClick={ended ? onClose : onStop}>
          {ended ? 'Close' : 'Stop'}
        </button>
      </div>
      {refused.length > 0 && (
        <ul className="mt-1 max-h-24 overflow-y-auto text-label text-rust">
          {refused.map(({ name, problem }, i) => (
            <li key={`${name} ${i}`}>{problem}</li>
          ))}
        </ul>
      )}
    </div>
  )
}
