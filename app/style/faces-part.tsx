import { Plus, Trash2, Upload } from 'lucide-react'
import { useRef, useState } from 'react'
import { toast } from 'sonner'
import { SAMPLE } from '#core/type/sample'
import type { OwnFont } from '#core/type/own-font'
import { walkPage } from '#core/site/tree'
import { plainText } from '#core/values/words'
import { type Family, familiesOf, familyOf, fontStack, measuresOf, ownFamilyId } from '#core/type/families'
import { pairingsFor } from '#core/type/pairing'
import { useSessionStore } from '../session/context'
import { edit, makeId } from '../session/store'
import { Button, IconButton } from '../ui/button'
import { Choice } from '../ui/choice'
import { FileInput } from '../ui/file-input'
import { freeName } from './colour-part'
import { Heading, Part } from './part'
import { useGuide } from './use-guide'
import { ask } from '../ui/ask'

const CLASSES = { serif: 'Serif', sans: 'Sans', slab: 'Slab', mono: 'Monospaced', display: 'Display' } as const

/** The faces of the guide, the families that they may be, and text faces that go with the heading face. */
export function FacesPart({ number }: { number: number }) {
  const { guide, site, set } = useGuide()
  const families = familiesOf(site.fonts)
  const used = (face: string) => guide.types.filter((one) => one.face === face).length
  const names = guide.faces.map((one) => one.name)
  return (
    <Part
      number={number}
      title="Faces"
      note={`${families.length} families installed${site.fonts.length > 0 ? `, ${site.fonts.length} of your own` : ''}`}
    >
      <ul className="space-y-1.5">
        {guide.faces.map((face, index) => {
          const family = familyOf(face.family, site.fonts)
          return (
            <li key={face.name} className="grid grid-cols-[90px_190px_1fr_28px] items-center gap-2" data-face={face.name}>
              <span>{face.name}</span>
              <FamilyChoice
                label={`Family of ${face.name}`}
                value={face.family}
                families={families}
                onChange={(next) =>
                  set(
                    'faces',
                    guide.faces.map((one, i) => (i === index ? { ...one, family: next } : one)),
                  )
                }
              />
              <span className="truncate text-label text-ink-2">
                {family
                  ? `${CLASSES[family.class]}, ${family.weights[0]} to ${family.weights[1]}, ${family.italic ? 'with' : 'without'} italic; small letters ${Math.round(measuresOf(family).xHeight * 100)}%`
                  : 'This family is not installed.'}
              </span>
              <IconButton
                label={used(face.name) > 0 ? `${face.name} sets ${used(face.name)} roles` : `Take away ${face.name}`}
                disabled={used(face.name) > 0}
                onClick={() =>
                  set(
                    'faces',
                    guide.faces.filter((one) => one !== face),
                  )
                }
              >
                <Trash2 size={14} strokeWidth={1.5} />
              </IconButton>
            </li>
          )
        })}
      </ul>
      <div className="mt-2 flex items-center gap-2">
        <Button
          className="!h-[26px]"
          disabled={names.length >= 12}
          onClick={() => set('faces', [...guide.faces, { name: freeName('face', names), family: 'inter' }])}
        >
          <Plus size={14} strokeWidth={1.5} /> Face
        </Button>
        <UploadFont />
      </div>
      <OwnFonts />
      <Pairings />
    </Part>
  )
}

type FamilyChoiceProps = { label: string; value: string; families: readonly Family[]; onChange: (id: string) => void }

const FamilyChoice = ({ label, value, families, onChange }: FamilyChoiceProps) => (
  <Choice
    label={label}
    value={value}
    placeholder="Not installed"
    options={[...families]
      .sort(
        (a, b) =>
          Number(b.own !== undefined) - Number(a.own !== undefined) ||
          a.class.localeCompare(b.class) ||
          a.name.localeCompare(b.name),
      )
      .map((one) => ({ value: one.id, label: one.name, note: one.own ? 'own' : CLASSES[one.class].toLowerCase() }))}
    onChange={onChange}
  />
)

function UploadFont() {
  const store = useSessionStore()
  const input = useRef<HTMLInputElement>(null)
  const upload = async (file: File) => {
    const body = new FormData()
    body.set('font', file)
    const { siteId } = store.getState()
    const answer = await ask<Omit<OwnFont, 'id'>>(`"${file.name}" was not uploaded`, `/sites/${siteId}/fonts`, {
      method: 'POST',
      body,
    })
    if ('problem' in answer) return void toast.error(answer.problem)
    const known = store.getState().session.site.fonts.find((one) => one.hash === answer.hash)
    if (known) return void toast(`“${known.name}” is already among the fonts.`)
    edit(store, { kind: 'list', list: 'fonts', drop: [], put: [{ item: { ...answer, id: makeId() } }] })
  }
  return (
    <>
      <FileInput ref={input} label="Font of your own" takes={['font']} onTake={([file]) => file && void upload(file)} />
      <Button className="!h-[26px]" onClick={() => input.current!.click()}>
        <Upload size={14} strokeWidth={1.5} /> Font of your own
      </Button>
      <span className="text-label text-ink-2">WOFF2, TTF or OTF, 8 MB at most</span>
    </>
  )
}

/** Fonts that were uploaded, each with what allows its use. */
function OwnFonts() {
  const store = useSessionStore()
  const { site } = useGuide()
  if (site.fonts.length === 0) return null
  const put = (font: OwnFont) => edit(store, { kind: 'list', list: 'fonts', drop: [], put: [{ item: font }] })
  const isUsed = (font: OwnFont) =>
    [site.guide, ...site.directions.flatMap((one) => one.guide ?? [])].some((guide) =>
      guide.faces.some((one) => one.family === ownFamilyId(font)),
    )
  return (
    <ul className="mt-2 space-y-1.5">
      {site.fonts.map((font) => (
        <li key={font.id} className="grid grid-cols-[150px_1fr_28px] items-center gap-2" data-own-font={font.name}>
          <span className="truncate" title={font.name}>
            {font.name} <span className="text-label text-muted">{font.class}</span>
          </span>
          <input
            aria-label={`Licence of ${font.name}`}
            defaultValue={font.licence}
            placeholder="What allows its use on this site"
            className="h-[26px] min-w-0 rounded-2 border border-line-strong px-2 text-label"
            maxLength={500}
            onBlur={(event) => event.target.value !== font.licence && put({ ...font, licence: event.target.value })}
          />
          <IconButton
            label={isUsed(font) ? `${font.name} is a face of the guide` : `Take away ${font.name}`}
            disabled={isUsed(font)}
            onClick={() => edit(store, { kind: 'list', list: 'fonts', drop: [font.id], put: [] })}
          >
            <Trash2 size={14} strokeWidth={1.5} />
          </IconButton>
        </li>
      ))}
    </ul>
  )
}

const SHOWN = 6

/** Text faces for the heading face, ranked, each with its reasons and in the site's own words. */
function Pairings() {
  const { guide, site, page, set } = useGuide()
  const [all, setAll] = useState(false)
  const faceOf = (role: string) => guide.types.find((one) => one.role === role)?.face
  const [headingFace, textFace] = [faceOf('heading-1'), faceOf('body')]
  const heading = familyOf(guide.faces.find((one) => one.name === headingFace)?.family ?? '', site.fonts)
  const current = guide.faces.find((one) => one.name === textFace)?.family
  if (!heading || headingFace === textFace)
    return <p className="mt-3 text-label text-ink-2">Set headings and text in two faces to see which go together.</p>
  const pairings = pairingsFor(heading, familiesOf(site.fonts))
  const wordsOf = (kind: string) => {
    const found = [...walkPage(page)].find(
      (block) => block.kind === kind && 'words' in block && plainText(block.words[site.language] ?? []).length > 8,
    )
    return found && 'words' in found ? plainText(found.words[site.language] ?? []) : SAMPLE.heading
  }
  const place = pairings.findIndex((one) => one.family.id === current)
  const shown = all ? pairings : pairings.filter((_, i) => i < SHOWN || i === place)
  return (
    <>
      <Heading>Text faces for {heading.name}</Heading>
      <ul className="relative max-h-[420px] divide-y divide-line overflow-y-auto border-y border-line">
        {shown.map(({ family, score, reasons }) => (
          <li key={family.id}>
            <button
              type="button"
              data-pairing={family.id}
              aria-pressed={family.id === current}
              className={`grid w-full grid-cols-[34px_1fr_1fr] items-center gap-3 px-2 py-2 text-left ${family.id === current ? 'bg-wash' : 'hover:bg-line/40'}`}
              onClick={() =>
                set(
                  'faces',
                  guide.faces.map((one) => (one.name === textFace ? { ...one, family: family.id } : one)),
                )
              }
            >
              <span className="figure text-ink">{score}</span>
              <span className="min-w-0">
                <span
                  className="block truncate text-[17px] leading-6"
                  style={{ fontFamily: fontStack(heading.id, site.fonts), fontWeight: 600 }}
                >
                  {wordsOf('heading')}
                </span>
                <span className="line-clamp-2 text-[13px] leading-[19px]" style={{ fontFamily: fontStack(family.id, site.fonts) }}>
                  {wordsOf('text')}
                </span>
              </span>
              <span className="min-w-0">
                <span className="block font-semibold">{family.name}</span>
                <span className="block text-label text-ink-2">{reasons.join(' ')}</span>
              </span>
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className="min-h-6 mt-1 text-label text-ink-2 underline" onClick={() => setAll(!all)}>
        {all ? 'Only the best' : `All ${pairings.length}`}
      </button>
    </>
  )
}
