import { Crop, Images, ImageUp, RotateCw } from 'lucide-react'
import { useRef } from 'react'
import type { BlockOf } from '#core/blocks/index'
import type { Edit } from '#core/edits/index'
import { isFilm, TURNS } from '#core/picture/picture'
import { Row } from '../../fields/row'
import { useField } from '../../fields/use-field'
import type { StyleAccess } from '../../fields/use-style'
import { useSession, useSessionStore } from '../../session/context'
import { edit, editAll } from '../../session/store'
import { Choice } from '../../ui/choice'
import { uploadPicture } from '../../session/upload-picture'
import { pictureEdits } from '../put-pictures'
import { MIXED } from './fields'
import { FileInput } from '../../ui/file-input'

const SMALL =
  'flex h-[26px] w-[26px] shrink-0 items-center justify-center rounded-2 border border-line-strong bg-field hover:border-ink aria-pressed:bg-ink aria-pressed:text-on-ink'

/** A frame without a picture says what its buttons do. */
const LABELLED =
  'flex h-[26px] min-w-0 flex-1 items-center justify-center gap-1.5 rounded-2 border border-line-strong bg-field px-2 hover:border-ink'

/** Which picture is shown: in the base, or another below a breakpoint (art direction); turned, and moved in its frame. */
export function PictureChoice({ block, style }: { block: BlockOf<'picture'>; style: StyleAccess }) {
  const store = useSessionStore()
  const { pictures } = useSession((state) => state.session.site)
  const cropping = useSession((state) => state.cropping === block.id)
  const shown = useField(style.places, 'picture', (each) => each.kind === 'picture')
  const below = typeof style.scope === 'object' ? style.scope.below : undefined
  const other = below === undefined ? undefined : block.instead?.[below]
  const options = pictures
    .filter((one) => !isFilm(one))
    .map((one) => ({ value: one.id, label: one.name.replace(/\.[a-z]+$/i, '') }))

  const setBelow = (id: string, picture: string | undefined) => {
    const edits = style.places.flatMap(({ block: each }): Edit[] => {
      if (each.kind !== 'picture') return []
      const { [id]: _, ...rest } = each.instead ?? {}
      const next = picture === undefined ? rest : { ...rest, [id]: picture }
      return [{ kind: 'field', block: each.id, field: 'instead', value: Object.keys(next).length > 0 ? next : null }]
    })
    editAll(store, 'picture below a breakpoint', edits)
  }
  const turn = () => {
    const next = TURNS[TURNS.indexOf(block.turn as 90) + 1]
    edit(store, { kind: 'field', block: block.id, field: 'turn', value: (block.turn === undefined ? 90 : next) ?? null })
  }
  return (
    <>
      <div className="flex">
        {options.length > 0 && (
          <Choice
            className="flex-1"
            label={below === undefined ? 'Picture of this site' : 'Picture in this range'}
            placeholder={shown.isMixed ? MIXED : 'Choose'}
            value={other ?? (shown.value as string | undefined) ?? null}
            options={options}
            onChange={(id) => (below === undefined ? shown.set(id) : setBelow(below, id))}
          />
        )}
      </div>
      <div className="flex gap-1">
        {style.places.length === 1 && <Upload block={block} />}
        <button
          type="button"
          className={block.picture === undefined ? LABELLED : SMALL}
          aria-label="Pictures of the site"
          title="Pictures of the site (I)"
          onClick={() => store.setState({ picturesOpen: true })}
        >
          <Images size={14} strokeWidth={1.5} />
          {block.picture === undefined && 'Choose one'}
        </button>
        {block.picture !== undefined && style.places.length === 1 && (
          <>
            <button
              type="button"
              className={SMALL}
              aria-label="Turn by a quarter"
              title={`Turn by a quarter; ${block.turn ?? 0}° now`}
              onClick={turn}
            >
              <RotateCw size={14} strokeWidth={1.5} />
            </button>
            <button
              type="button"
              className={SMALL}
              aria-pressed={cropping}
              aria-label="Crop in its frame"
              title="Drag the picture in its frame (C)"
              onClick={() => store.setState({ cropping: cropping ? null : block.id })}
            >
              <Crop size={14} strokeWidth={1.5} />
            </button>
          </>
        )}
      </div>
      {below !== undefined && other !== undefined && (
        <Row label="">
          <button type="button" className="min-h-6 text-label underline" onClick={() => setBelow(below, undefined)}>
            The picture of the wider range
          </button>
        </Row>
      )}
    </>
  )
}

function Upload({ block }: { block: BlockOf<'picture'> }) {
  const store = useSessionStore()
  const input = useRef<HTMLInputElement>(null)
  const take = async (file: File | undefined) => {
    const picture = file && (await uploadPicture(store.getState().siteId, file))
    if (picture) editAll(store, `picture ${picture.name}`, pictureEdits(store, picture, block.id))
  }
  return (
    <>
      <button
        type="button"
        className={block.picture === undefined ? LABELLED : SMALL}
        aria-label="Upload"
        title="Upload a picture"
        onClick={() => input.current?.click()}
      >
        <ImageUp size={14} strokeWidth={1.5} />
        {block.picture === undefined && 'Upload'}
      </button>
      <FileInput ref={input} label="Upload a picture" takes={['picture']} onTake={([file]) => void take(file)} />
    </>
  )
}
