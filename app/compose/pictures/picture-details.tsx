import { counted } from '#core/values/counted'
import { useEffect, useMemo, useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import { toast } from 'sonner'
import type { PictureUse } from '#core/analysis/picture-uses'
import type { PaletteColour } from '#core/colour/palette'
import { isFilm, MOST_TAGS, type Picture } from '#core/picture/picture'
import { findBlock } from '#core/site/tree'
import { weightInWords } from '#core/values/weight'
import type { PictureFacts } from '#core/picture/facts'
import { picturePalette } from '../../colours/picture-palette'
import { useSession, useSessionStore } from '../../session/context'
import { blockName } from '#core/blocks/block-name'
import { edit, editAll, select } from '../../session/store'
import { sendPicture } from '../../session/upload-picture'
import { Button } from '../../ui/button'
import { ListField } from '../../ui/list-field'
import { pictureEdits } from '../put-pictures'
import { PictureAreas } from './picture-areas'
import { FileInput } from '../../ui/file-input'

/** What is known of a picture, what every crop of it keeps, its tags, and where it is used. */
export function PictureDetails({ picture, uses, onClose }: { picture: Picture; uses: readonly PictureUse[]; onClose: () => void }) {
  const store = useSessionStore()
  const change = (values: Extract<Parameters<typeof edit>[1], { kind: 'picture-change' }>['values']) =>
    edit(store, { kind: 'picture-change', picture: picture.id, values })
  const block = useSession((state) =>
    state.selection === null ? undefined : findBlock(state.session.site, state.selection)?.block,
  )
  return (
    <>
      {isFilm(picture) ? (
        <video src={`/pictures/${picture.hash}`} controls preload="metadata" className="block w-full bg-ink" />
      ) : (
        <PictureAreas picture={picture} onChange={change} />
      )}
      <label className="mt-3 block">
        <span className="text-label text-ink-2">Name</span>
        <input
          key={picture.name}
          className="h-[28px] w-full rounded-2 border border-line-strong bg-field px-2"
          defaultValue={picture.name}
          maxLength={200}
          onBlur={(event) => {
            const name = event.target.value.trim()
            if (name === '' || name === picture.name) event.target.value = picture.name
            else change({ name })
          }}
          onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
        />
      </label>
      <div className="mt-2">
        <span className="text-label text-ink-2">Tags</span>
        <div className="flex">
          <ListField
            label="Tags"
            placeholder="night, people"
            takes={`${MOST_TAGS} words at most, with commas between them`}
            text={picture.tags?.join(', ') ?? ''}
            onChange={(text) => {
              const tags = [
                ...new Set(
                  text
                    .split(',')
                    .map((one) => one.trim().toLowerCase())
                    .filter(Boolean),
                ),
              ]
              const fits = tags.length <= MOST_TAGS && tags.every((one) => one.length <= 60)
              if (fits) change({ tags: tags.length > 0 ? tags : null })
              return fits
            }}
          />
        </div>
      </div>
      {!isFilm(picture) && <Facts picture={picture} />}
      <h3 className="mb-1 mt-4 font-semibold">Where used</h3>
      <Uses uses={uses} onClose={onClose} />
      <div className="mt-4 flex flex-wrap gap-2 border-t border-line pt-3">
        {block?.kind === 'picture' && block.picture !== picture.id && (
          <Button
            onClick={() => {
              editAll(store, `picture ${picture.name}`, pictureEdits(store, picture, block.id))
              onClose()
            }}
          >
            Show it in {blockName(block)}
          </Button>
        )}
        <Replace picture={picture} count={uses.length} />
        {uses.length === 0 && (
          <Button onClick={() => edit(store, { kind: 'picture-remove', picture: picture.id })}>Take it out of the site</Button>
        )}
      </div>
    </>
  )
}

/** Another file in its place, wherever it is shown. The original is kept, so undo brings it back. */
function Replace({ picture, count }: { picture: Picture; count: number }) {
  const store = useSessionStore()
  const input = useRef<HTMLInputElement>(null)
  const take = async (file: File | undefined) => {
    if (!file) return
    const answer = await sendPicture(store.getState().siteId, file)
    if ('problem' in answer) return void toast.error(answer.problem)
    const { id: _, name, ...kept } = answer
    edit(store, { kind: 'picture-change', picture: picture.id, values: { name, file: kept } })
    const said = count === 0 ? 'Replaced.' : `Replaced in ${counted(count, 'place')}.`
    // What was kept in sight of the one picture may be nothing in the other.
    if (!picture.focal && !picture.safe) return void toast.success(said)
    const what = [picture.focal && 'focal point', picture.safe && 'safe area'].filter(Boolean).join(' and ')
    toast.success(`${said} Its ${what} ${picture.focal && picture.safe ? 'are' : 'is'} the old picture’s.`, {
      duration: 20_000,
      action: {
        label: 'Take away',
        onClick: () => edit(store, { kind: 'picture-change', picture: picture.id, values: { focal: null, safe: null } }),
      },
    })
  }
  return (
    <>
      <Button onClick={() => input.current?.click()}>Replace everywhere</Button>
      <FileInput ref={input} label="Replace the picture everywhere" takes={['picture']} onTake={([file]) => void take(file)} />
    </>
  )
}

const TYPES: Record<Picture['type'], string> = {
  'image/jpeg': 'JPEG',
  'image/png': 'PNG',
  'image/webp': 'WebP',
  'image/avif': 'AVIF',
  'image/svg+xml': 'SVG',
  'video/mp4': 'MP4',
  'video/webm': 'WebM',
}

/** A drawing has no pixels: it is sharp at any size. */
const sizeInWords = ({ type, width, height }: Picture): string =>
  type === 'image/svg+xml'
    ? `${width} × ${height}, drawn at any size`
    : `${width} × ${height} px, ${((width * height) / 1e6).toFixed(1)} MP`

const SPACES: Record<string, string> = { srgb: 'sRGB', 'b-w': 'Greys', rgb16: 'RGB', grey16: 'Greys' }

/** Its profile says which colours are meant: pixels of three channels are those of sRGB only where none says otherwise. */
const spaceInWords = ({ space, profile }: PictureFacts): string =>
  space === 'srgb' && profile && !/srgb/i.test(profile) ? 'RGB' : (SPACES[space] ?? space.toUpperCase())

/** From what standard deviation of its Laplacian a picture counts as sharp, and below what as soft. */
const SHARPNESS = { sharp: 4, soft: 1.2 }
const sharpnessInWords = (value: number) => (value >= SHARPNESS.sharp ? 'sharp' : value < SHARPNESS.soft ? 'soft' : 'fair')

/** Bytes for each pixel above which an original is heavy for its size. */
const HEAVY = 1.5

function Facts({ picture }: { picture: Picture }) {
  const [facts, setFacts] = useState<PictureFacts>()
  const [palette, setPalette] = useState<PaletteColour[]>([])
  const { hash } = picture
  useEffect(() => {
    const request = new AbortController()
    fetch(`/pictures/${hash}/facts`, { signal: request.signal })
      .then((response) => (response.ok ? (response.json() as Promise<PictureFacts>) : undefined))
      .then(setFacts)
      .catch(() => undefined)
    return () => request.abort()
  }, [hash])
  useEffect(() => {
    let gone = false
    picturePalette({ ...picture, width: Math.min(picture.width, 640) }, 6)
      .then((colours) => !gone && setPalette(colours))
      .catch(() => undefined)
    return () => {
      gone = true
    }
    // The bytes alone decide.
    // oxlint-disable-next-line react/exhaustive-deps -- another name or tag changes no colour
  }, [hash])
  const lines: [string, string][] = [
    ['Size', sizeInWords(picture)],
    ['File', `${TYPES[picture.type]}${facts ? `, ${weightInWords(facts.bytes)}` : ''}`],
    ...(facts
      ? ([
          ['Colours', `${spaceInWords(facts)}, ${facts.depth} bits, ${facts.profile ? `profile ${facts.profile}` : 'no profile'}`],
          ['Sharpness', `${facts.sharpness}, ${sharpnessInWords(facts.sharpness)}`],
          ['Lets through', facts.transparent === 0 ? 'nothing' : `on ${Math.max(1, Math.round(facts.transparent * 100))} % of it`],
        ] as [string, string][])
      : []),
  ]
  const heavy = facts && picture.type !== 'image/svg+xml' && facts.bytes / (picture.width * picture.height) > HEAVY
  return (
    <div className="mt-3">
      <dl className="grid grid-cols-[92px_1fr] gap-y-0.5">
        {lines.map(([what, value]) => (
          <div key={what} className="contents">
            <dt className="text-ink-2">{what}</dt>
            <dd className="figure">{value}</dd>
          </div>
        ))}
      </dl>
      <div role="list" aria-label="Dominant colours" className="mt-2 flex h-6 border border-line-strong">
        {palette.map(({ hex, share }) => (
          <span
            key={hex}
            role="listitem"
            aria-label={`${hex}, ${Math.round(share * 100)} %`}
            title={`${hex}, ${Math.round(share * 100)} %`}
            style={{ background: hex, flexGrow: Math.max(share, 0.04) }}
          />
        ))}
      </div>
      {facts && facts.frames > 1 && (
        <p className="mt-1 text-label text-rust">It is animated: of its {facts.frames} pictures the first is shown.</p>
      )}
      {heavy && <p className="mt-1 text-label text-rust">It is heavy for its size. Exports make lighter files of it.</p>}
    </div>
  )
}

function Uses({ uses, onClose }: { uses: readonly PictureUse[]; onClose: () => void }) {
  const store = useSessionStore()
  const site = useSession((state) => state.session.site)
  const navigate = useNavigate()
  const lines = useMemo(
    () =>
      uses.flatMap((use): { key: string; text: string; go?: { page: string; block: string } }[] => {
        if ('card' in use) return [{ key: use.card, text: 'On the references board' }]
        if ('elsewhere' in use) return [{ key: use.elsewhere, text: use.elsewhere }]
        const page = site.pages.find((one) => one.id === use.page)
        const place = findBlock(site, use.block)
        if (!page || !place) return []
        const section = place.ancestors[0] ?? place.block
        const what = use.what === 'fill' ? ', as a fill' : use.what === 'picture' ? '' : ', below a breakpoint'
        return [
          {
            key: `${use.block} ${use.what}`,
            text: `${page.name}: ${blockName(section)}, ${blockName(place.block)}${what}`,
            go: use,
          },
        ]
      }),
    [uses, site],
  )
  if (lines.length === 0) return <p className="text-ink-2">Nowhere yet.</p>
  return (
    <ul>
      {lines.map(({ key, text, go }, i) => (
        <li key={`${key} ${i}`}>
          {go === undefined ? (
            <span className="text-ink-2">{text}</span>
          ) : (
            <button
              type="button"
              className="min-h-6 text-left underline"
              onClick={() => {
                const { siteId, pageId } = store.getState()
                onClose()
                select(store, go.block)
                if (pageId !== go.page) void navigate(`/sites/${siteId}/pages/${go.page}/compose`)
              }}
            >
              {text}
            </button>
          )}
        </li>
      ))}
    </ul>
  )
}
