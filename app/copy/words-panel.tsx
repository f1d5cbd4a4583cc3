import { GripVertical } from 'lucide-react'
import { useDeferredValue, useMemo } from 'react'
import { copyFindings, type CopySection } from '#core/analysis/copy'
import { deckOf } from '#core/deck/deck'
import { fillerFor } from '#core/deck/filler'
import { deckLinks } from '#core/deck/links'
import type { DeckSection, HeldPassage } from '#core/deck/passage'
import { passageMarkdown } from '#core/deck/print'
import { slotsOf } from '#core/deck/slots'
import type { Edit } from '#core/edits/index'
import { deckRows, layOutDeck } from '#core/outlines/as-deck'
import type { Site } from '#core/site/schema'
import { plainText } from '#core/values/words'
import { useSessionStore, useSession } from '../session/context'
import { editAll, makeId, pageOf } from '../session/store'
import { VerdictLine } from '../ui/verdict'
import type { PointedPassage } from './copy'
import { usePlacing } from './use-placing'

type PanelProps = { language: string; pointed: PointedPassage | null; onPoint: (pointed: PointedPassage) => void }

/** Words of the placeholder kind for every empty slot of a section, or of all of them. */
function fillerEdits(language: string, sections: Site['pages'][number]['sections']): Edit[] {
  return sections.flatMap((section) =>
    slotsOf(section).flatMap(({ block, role }): Edit[] =>
      plainText(block.words[language] ?? []).trim() === ''
        ? [
            {
              kind: 'words',
              block: block.id,
              words: {
                [language]: [
                  fillerFor(
                    role,
                    [...block.id].reduce((sum, sign) => sum * 31 + sign.charCodeAt(0), 7),
                  ),
                ],
              },
            },
          ]
        : [],
    ),
  )
}

/** Which words stand where: section by section, each passage with its slot, and what stands nowhere. */
export function WordsPanel({ language, pointed, onPoint }: PanelProps) {
  const store = useSessionStore()
  // The page comes first; this panel follows when there is time.
  const site = useDeferredValue(useSession((state) => state.session.site))
  const page = useDeferredValue(useSession(pageOf))
  const deck = useMemo(() => deckOf(site, language), [site, language])
  const findings = useMemo(() => copyFindings(site, language), [site, language])
  const here = deck.pages.find((one) => one.page === page.id)
  const others = deck.pages.filter((one) => one.page === undefined)
  const onPage = findings.filter((one) => one.page === page.id)
  const waiting = here?.sections.filter((one) => one.section === undefined && one.name !== '').length ?? 0
  const words = onPage.reduce((sum, one) => sum + one.words, 0)
  const empty = onPage.reduce((sum, one) => sum + one.slots - one.filled, 0)
  const unplaced = deck.pages.reduce(
    (sum, one) => sum + one.sections.flatMap((section) => section.passages).filter((passage) => 'unplaced' in passage).length,
    0,
  )
  return (
    <>
      <div className="shrink-0 border-b border-line-strong bg-ground px-3 py-1.5">
        <h2 className="text-[14px] font-semibold">Where the words stand</h2>
        <p className="text-label text-ink-2" data-counts>
          <span className="figure">{words}</span> words, <span className="figure">{empty}</span> {empty === 1 ? 'slot' : 'slots'}{' '}
          without, <span className="figure">{unplaced}</span> unplaced
        </p>
        {waiting > 0 && (
          <button
            type="button"
            className="mr-4 min-h-6 text-label underline"
            onClick={() => editAll(store, 'lay out the deck', layOutDeck(site, page.id, deckRows(site, page), makeId))}
          >
            Lay out {waiting === 1 ? 'the section that stands' : `the ${waiting} sections that stand`} nowhere
          </button>
        )}
        {empty > 0 && (
          <button
            type="button"
            className="min-h-6 text-label underline"
            onClick={() => editAll(store, 'placeholder words', fillerEdits(language, page.sections))}
          >
            Fill empty slots with placeholder words
          </button>
        )}
      </div>
      <div className="relative min-h-0 flex-1 overflow-y-auto pb-6">
        {here?.sections.map((section, i) => (
          <SectionWords
            key={section.section ?? `${i} ${section.name}`}
            section={section}
            found={onPage[i]}
            number={section.section ? i + 1 : undefined}
            pointed={pointed}
            onPoint={onPoint}
          />
        ))}
        {others.map((one) => (
          <div key={one.name}>
            <p className="bg-rust-wash px-3 py-1 text-label text-rust">
              “{one.name}” is no page of this site. Its words are kept here.
            </p>
            {one.sections.map((section) => (
              <SectionWords
                key={section.name}
                section={section}
                found={undefined}
                number={undefined}
                pointed={pointed}
                onPoint={onPoint}
              />
            ))}
          </div>
        ))}
        {here?.sections.length === 0 && (
          <p className="p-3 text-ink-2">The page has no sections and no words yet. Write in the deck, or import a document.</p>
        )}
      </div>
    </>
  )
}

type SectionWordsProps = {
  section: DeckSection<HeldPassage>
  found: CopySection | undefined
  number: number | undefined
  pointed: PointedPassage | null
  onPoint: (pointed: PointedPassage) => void
}

function SectionWords({ section, found, number, pointed, onPoint }: SectionWordsProps) {
  const site = useSession((state) => state.session.site)
  return (
    <section aria-label={section.name || 'Above all sections'} className="border-b border-line pb-1.5">
      <h3 className="flex items-baseline gap-2 px-3 pb-0.5 pt-2">
        <span className="figure text-ink-2">{number === undefined ? '––' : String(number).padStart(2, '0')}</span>
        <span className="truncate font-semibold">{section.name || 'Above all sections'}</span>
        <span className="flex-1" />
        <span className="figure whitespace-nowrap text-ink-2">
          {found && found.slots > 0 ? `${found.filled}/${found.slots} · ${found.words}` : (found?.words ?? '')}
        </span>
      </h3>
      {section.section === undefined && section.passages.length > 0 && (
        <p className="px-3 text-label text-ink-2">No section of this name stands on the page yet.</p>
      )}
      <ul>
        {section.passages.map((passage) => {
          const id = 'block' in passage ? passage.block : passage.unplaced
          return (
            <PassageRow
              key={id}
              passage={passage}
              current={pointed?.block === id || pointed?.unplaced === id}
              onPoint={() =>
                onPoint({
                  ...('block' in passage ? { block: passage.block } : { unplaced: passage.unplaced }),
                  text: passageMarkdown(passage, deckLinks(site)),
                })
              }
            />
          )
        })}
      </ul>
      {found?.findings
        .filter((one) => one.kind !== 'unplaced')
        .map((one, i) => (
          <div key={i} className="px-3 pl-[34px]">
            <VerdictLine ok={false} onShow={one.block ? () => onPoint({ block: one.block!, text: '' }) : undefined}>
              {one.sentence}
            </VerdictLine>
          </div>
        ))}
    </section>
  )
}

type RowProps = { passage: HeldPassage; current: boolean; onPoint: () => void }

function PassageRow({ passage, current, onPoint }: RowProps) {
  const placing = usePlacing()
  const text = plainText(passage.words)
  const placed = 'block' in passage
  return (
    <li
      draggable={!placed}
      data-unplaced={placed ? undefined : passage.unplaced}
      onDragStart={(event) => {
        if (placed) return
        placing.begin(passage.unplaced)
        event.dataTransfer.setData('text/plain', text)
        event.dataTransfer.effectAllowed = 'move'
      }}
      className={`flex items-baseline gap-1.5 pl-3 pr-2 ${current ? 'bg-wash' : placed ? 'hover:bg-ground' : 'bg-rust-wash/60 hover:bg-rust-wash'}`}
    >
      <span
        className={`w-[58px] shrink-0 truncate text-label text-muted ${passage.entry > 0 ? 'border-l-2 border-line-strong pl-1.5' : 'pl-2'}`}
      >
        {passage.role}
      </span>
      <button type="button" aria-current={current} className="min-w-0 flex-1 truncate py-[3px] text-left" onClick={onPoint}>
        {text}
      </button>
      {!placed && (
        <>
          <button type="button" className="min-h-6 text-label underline" onClick={() => placing.place(passage.unplaced)}>
            Place
          </button>
          <GripVertical size={12} aria-hidden className="shrink-0 translate-y-0.5 cursor-grab text-muted" />
        </>
      )}
    </li>
  )
}
