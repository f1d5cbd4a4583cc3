import { counted } from '#core/values/counted'
import { useRef } from 'react'
import { toast } from 'sonner'
import { DEVICE_NAMES } from '#core/blocks/devices'
import type { BlockOf } from '#core/blocks/index'
import { captionsSchema } from '#core/blocks/video'
import type { Edit } from '#core/edits/index'
import { isFilm } from '#core/picture/picture'
import { ColumnHead, Finding, Row } from '../../fields/row'
import { useSession, useSessionStore } from '../../session/context'
import { edit, editAll } from '../../session/store'
import { uploadPicture } from '../../session/upload-picture'
import { Button } from '../../ui/button'
import { Choice } from '../../ui/choice'
import { NumberField } from '../../ui/number-field'
import { AlternativeRows } from './alternative-rows'
import { LabelRow } from './meaning-columns'
import { Segments } from './segments'
import { FileInput } from '../../ui/file-input'

const bare = (name: string) => name.replace(/\.[a-z0-9]+$/i, '')

type FieldEdit = Extract<Edit, { kind: 'field' }>

/** Sets one field of a block; null takes it away. */
function useSet(id: string) {
  const store = useSessionStore()
  return (field: FieldEdit['field'], value: unknown) => edit(store, { kind: 'field', block: id, field, value: value as never })
}

/** How a slideshow goes on, and what those who hear the page are told. */
export function SlideshowColumn({ block }: { block: BlockOf<'slideshow'> }) {
  const set = useSet(block.id)
  return (
    <div>
      <ColumnHead title="Slideshow" note={counted(block.children.length, 'slide')} />
      <Row label="Goes on">
        <NumberField
          className="flex-1"
          label="Seconds for each slide"
          unit="s"
          placeholder="By hand"
          value={block.every ?? null}
          least={2}
          most={60}
          onClear={() => set('every', null)}
          onChange={(every) => set('every', every)}
        />
      </Row>
      <Row label="Dots">
        <Segments
          label="Dots of the slideshow"
          value={block.dots === false ? 'none' : 'each'}
          options={[
            { value: 'each', label: 'One for each' },
            { value: 'none', label: 'None' },
          ]}
          onChange={(value) => set('dots', value === 'none' ? false : null)}
        />
      </Row>
      <LabelRow block={block} name="Name of the slideshow" placeholder="Views of the ridge" />
      <Finding well={block.children.length > 1}>
        {block.children.length > 1
          ? block.every === undefined
            ? 'Swiped, scrolled and reached by its dots without a script.'
            : 'It stands still for those who want no motion, and while it is pointed at.'
          : 'It needs two blocks in it to show one after the other.'}
      </Finding>
    </div>
  )
}

/** Which video, what is seen before it plays, its captions, and whether it runs by itself. */
export function VideoColumn({ block }: { block: BlockOf<'video'> }) {
  const store = useSessionStore()
  const set = useSet(block.id)
  const { pictures, language } = useSession((state) => state.session.site)
  const files = useRef<HTMLInputElement>(null)
  const captions = useRef<HTMLInputElement>(null)
  const films = pictures.filter(isFilm)
  const chosen = films.find((one) => one.id === block.video)
  const take = async (file: File | undefined) => {
    const film = file && (await uploadPicture(store.getState().siteId, file))
    if (!film) return
    if (!isFilm(film)) return void toast.error(`"${film.name}" is a picture. A video is MP4 or WebM.`)
    const known = store.getState().session.site.pictures.find((one) => one.hash === film.hash)
    editAll(store, `video ${film.name}`, [
      ...(known ? [] : [{ kind: 'picture-add' as const, picture: film }]),
      { kind: 'field', block: block.id, field: 'video', value: (known ?? film).id },
    ])
  }
  const takeCaptions = async (file: File | undefined) => {
    if (!file) return
    const read = captionsSchema.safeParse(await file.text())
    if (!read.success) return void toast.error(`"${file.name}" was not taken: ${read.error.issues[0]!.message}`)
    set('captions', { ...block.captions, [language]: read.data })
  }
  const told = block.captions?.[language] !== undefined
  return (
    <div>
      <ColumnHead title="Video" note={chosen ? `${chosen.width} × ${chosen.height}` : 'none chosen'} />
      <div className="mb-1 flex gap-1">
        {films.length > 0 && (
          <Choice
            className="flex-1"
            label="Video of this site"
            placeholder="Choose"
            value={block.video ?? null}
            options={films.map((one) => ({ value: one.id, label: bare(one.name) }))}
            onChange={(id) => set('video', id)}
          />
        )}
        <Button className="!h-[26px]" onClick={() => files.current?.click()}>
          Upload
        </Button>
        <FileInput ref={files} label="Upload a video" takes={['film']} onTake={([file]) => void take(file)} />
      </div>
      <Row label="Runs">
        <Segments
          label="When the video runs"
          value={block.background ? 'itself' : 'played'}
          options={[
            { value: 'played', label: 'When played' },
            { value: 'itself', label: 'By itself' },
          ]}
          onChange={(value) => set('background', value === 'itself' || null)}
        />
      </Row>
      <Row label="Poster">
        <Choice
          className="flex-1"
          label="Poster"
          placeholder="Its first frame"
          value={block.poster ?? null}
          options={pictures.filter((one) => !isFilm(one)).map((one) => ({ value: one.id, label: bare(one.name) }))}
          onChange={(id) => set('poster', id)}
        />
      </Row>
      {!block.background && (
        <Row label="Captions">
          <Button className="!h-[26px] flex-1" onClick={() => (told ? set('captions', null) : captions.current?.click())}>
            {told ? 'Take them out' : 'From a WebVTT file'}
          </Button>
          <FileInput ref={captions} label="Captions file" takes={['captions']} onTake={([file]) => void takeCaptions(file)} />
        </Row>
      )}
      <LabelRow block={block} name="Name of the video" placeholder="The dome opens" />
      <Finding well={block.background === true || told}>
        {block.background
          ? 'It is mute, has a control that stops it, and stands still for those who want no motion.'
          : told
            ? 'It has captions.'
            : 'What is said in it needs captions (WCAG 2.2, 1.2.2).'}
      </Finding>
    </div>
  )
}

const DEVICE_LABELS = { 'wide screen': 'Wide screen', laptop: 'Laptop', tablet: 'Tablet', phone: 'Phone' } as const

/** Which device, and what its screen shows: a picture, or a page of the site. */
export function DeviceColumn({ block }: { block: BlockOf<'device'> }) {
  const store = useSessionStore()
  const set = useSet(block.id)
  const { pictures, pages } = useSession((state) => state.session.site)
  const here = useSession((state) => state.pageId)
  const options = [
    { value: 'none', label: 'Nothing' },
    ...pages.filter((one) => one.id !== here).map((one) => ({ value: `page ${one.id}`, label: `Page: ${one.name}` })),
    ...pictures.filter((one) => !isFilm(one)).map((one) => ({ value: `picture ${one.id}`, label: bare(one.name) })),
  ]
  const show = (value: string) => {
    const [what, id] = value.split(' ')
    editAll(store, 'what a device shows', [
      { kind: 'field', block: block.id, field: 'page', value: what === 'page' ? id! : null },
      { kind: 'field', block: block.id, field: 'picture', value: what === 'picture' ? id! : null },
    ])
  }
  return (
    <div>
      <ColumnHead title="Device" note="made up, nobody’s" />
      <Row label="Device">
        <Choice
          className="flex-1"
          label="Device"
          value={block.device}
          options={DEVICE_NAMES.map((value) => ({ value, label: DEVICE_LABELS[value] }))}
          onChange={(device) => set('device', device)}
        />
      </Row>
      <Row label="Shows">
        <Choice
          className="flex-1"
          label="What its screen shows"
          value={
            block.page !== undefined ? `page ${block.page}` : block.picture !== undefined ? `picture ${block.picture}` : 'none'
          }
          options={options}
          onChange={show}
        />
      </Row>
      <AlternativeRows block={block} label="Alternative text of the device" />
      <Finding well>
        {block.page === undefined ? 'A picture is cut to its screen, from the top.' : 'The page is shown live, as visitors get it.'}
      </Finding>
    </div>
  )
}
