import { Dialog } from 'radix-ui'
import { useMemo, useState } from 'react'
import { toast } from 'sonner'
import { ARRANGEMENTS } from '#core/arrangements/index'
import type { Arrangement, Job } from '#core/arrangements/build'
import { JOBS } from '#core/blocks/section'
import { useSessionStore, useSession } from '../../session/context'
import { addArranged } from '../add-arranged'
import { blockName } from '#core/blocks/block-name'
import { type SessionStore, edit, makeId, pageOf } from '../../session/store'
import type { Section } from '#core/blocks/index'
import { capacityOf, createPreviews, fitOf, SIZES, sizeOf } from './preview'
import { ShadowPreview } from './shadow-preview'

type ChooserProps = { section: Section | undefined; onClose: () => void }
type Size = keyof typeof SIZES | 'any'

/** Re-sets a section, and says what found no slot. */
function reSetSection(store: SessionStore, section: Section, arrangement: Arrangement): void {
  const before = store.getState().session.site.unplaced.length
  if (!edit(store, { kind: 're-set', section: section.id, arrangement: arrangement.id, ids: makeId() })) return
  const left = store.getState().session.site.unplaced.filter((one) => one.section === section.id).length
  const more = store.getState().session.site.unplaced.length - before
  if (left > 0 && more > 0)
    toast(
      `${left} ${left === 1 ? 'passage finds' : 'passages find'} no slot in “${arrangement.name}” and ${left === 1 ? 'is' : 'are'} kept unplaced in the copy deck.`,
    )
}

/** Every arrangement, drawn live in the wire look with the site's own words, wide and narrow together. */
export function Chooser({ section, onClose }: ChooserProps) {
  const store = useSessionStore()
  const site = useSession((state) => state.session.site)
  const page = useSession(pageOf)
  const [job, setJob] = useState<Job | 'all'>(section?.job ?? 'all')
  const [size, setSize] = useState<Size>('any')
  // Drawn once, from the site as it was when the chooser was opened.
  const [draw] = useState(() => createPreviews(site))
  const [opened] = useState({ site, page })
  const shown = useMemo(
    () => ARRANGEMENTS.filter((one) => (job === 'all' || one.job === job) && (size === 'any' || sizeOf(capacityOf(one)) === size)),
    [job, size],
  )
  const take = (arrangement: Arrangement) => {
    if (section) reSetSection(store, section, arrangement)
    else addArranged(store, arrangement)
    onClose()
  }
  const widths = useMemo(() => ({ wide: site.views[0] ?? 1280, narrow: site.views.at(-1) ?? 375 }), [site.views])
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-x-10 inset-y-8 z-50 flex flex-col overflow-clip rounded-2 bg-ground shadow-float"
        >
          {/* The neutral face of the wire look. */}
          <link rel="stylesheet" href="/fonts.css" precedence="default" />
          <div className="flex shrink-0 items-center gap-3 border-b border-line-strong bg-panel px-4 py-2">
            <Dialog.Title className="text-title font-semibold">
              {section ? `Re-set ${blockName(section)}` : 'Add a section'}
            </Dialog.Title>
            <span className="figure text-ink-2" data-shown>
              {shown.length} of {ARRANGEMENTS.length}
            </span>
            <span className="flex-1" />
            <div role="group" aria-label="Words that it holds" className="flex gap-1">
              {(['any', 'few', 'some', 'many'] as Size[]).map((one) => (
                <button
                  key={one}
                  type="button"
                  aria-pressed={one === size}
                  className="h-[26px] rounded-2 border border-line-strong bg-field px-2 text-label aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-on-ink"
                  onClick={() => setSize(one)}
                >
                  {one === 'any' ? 'Any length' : SIZES[one]}
                </button>
              ))}
            </div>
            <Dialog.Close className="h-[26px] rounded-2 border border-line-strong bg-field px-3">Close</Dialog.Close>
          </div>
          <div className="flex min-h-0 flex-1">
            <nav
              aria-label="Job of the section"
              className="relative w-36 shrink-0 overflow-y-auto border-r border-line-strong bg-panel py-2"
            >
              {(['all', ...JOBS] as const).map((one) => (
                <button
                  key={one}
                  type="button"
                  aria-pressed={one === job}
                  className="block w-full border-l-[3px] border-transparent px-3 py-1 text-left first-letter:uppercase aria-pressed:border-yarrow aria-pressed:bg-wash aria-pressed:font-semibold"
                  onClick={() => setJob(one)}
                >
                  {one === 'all' ? 'All jobs' : one.replace('-', ' ')}
                </button>
              ))}
            </nav>
            <ul
              className="relative grid min-h-0 flex-1 auto-rows-min grid-cols-2 items-start gap-x-5 gap-y-6 overflow-y-auto p-4"
              data-arrangements
            >
              {shown.map((one) => (
                <Plate
                  key={one.id}
                  arrangement={one}
                  section={section}
                  opened={opened}
                  draw={draw}
                  widths={widths}
                  onTake={() => take(one)}
                />
              ))}
              {shown.length === 0 && <li className="text-ink-2">No arrangement of this job holds so many words.</li>}
            </ul>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}

type PlateProps = {
  arrangement: Arrangement
  section: Section | undefined
  opened: { site: Parameters<typeof fitOf>[0]; page: Parameters<typeof fitOf>[1] }
  draw: ReturnType<typeof createPreviews>
  widths: { wide: number; narrow: number }
  onTake: () => void
}

function Plate({ arrangement, section, opened, draw, widths, onTake }: PlateProps) {
  const fit = useMemo(
    () => fitOf(opened.site, opened.page, section ?? arrangement.job, arrangement),
    [opened, section, arrangement],
  )
  const verdict =
    fit.left > 0
      ? `${fit.left} without a slot`
      : fit.words === 0
        ? 'no words yet'
        : fit.empty > 0
          ? `all words, ${fit.empty} ${fit.empty === 1 ? 'slot' : 'slots'} free`
          : 'all words'
  return (
    <li className="[contain-intrinsic-size:auto_300px] [content-visibility:auto]">
      <button type="button" className="group block w-full text-left" onClick={onTake} data-arrangement={arrangement.id}>
        <span className="flex items-start gap-2 bg-field p-2 outline outline-1 outline-line-strong group-hover:outline-ink">
          <ShadowPreview width={widths.wide} share={0.74} markup={() => draw(fit.section, { width: widths.wide, height: 800 })} />
          <ShadowPreview
            width={widths.narrow}
            share={0.22}
            markup={() => draw(fit.section, { width: widths.narrow, height: 720 })}
          />
        </span>
        <span className="mt-1.5 flex items-baseline gap-2">
          <span className="font-semibold">{arrangement.name}</span>
          <span className="text-label text-ink-2">{arrangement.job.replace('-', ' ')}</span>
          <span className="flex-1" />
          <span className={`figure ${fit.left > 0 ? 'text-rust' : 'text-ink-2'}`}>{verdict}</span>
        </span>
        <span className="block text-label text-ink-2">{arrangement.note}</span>
      </button>
    </li>
  )
}
