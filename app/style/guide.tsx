import { ButtonsPart } from './buttons-part'
import { ColourPart } from './colour-part'
import { ConsistencyPart } from './consistency-part'
import { ContrastPart } from './contrast-part'
import { FacesPart } from './faces-part'
import { FilesPart } from './files-part'
import { GridPart } from './grid-part'
import { LooksPart } from './looks-part'
import { SpacePart } from './space-part'
import { TypePart } from './type-part'

const PARTS = [
  ColourPart,
  ContrastPart,
  TypePart,
  FacesPart,
  ButtonsPart,
  SpacePart,
  LooksPart,
  GridPart,
  ConsistencyPart,
  FilesPart,
]
const NAMES = [
  ['Colour', 'colour'],
  ['Contrast', 'contrast'],
  ['Type', 'type'],
  ['Faces', 'faces'],
  ['Buttons', 'buttons'],
  ['Space', 'space-corners-shadows'],
  ['Looks', 'fields-links-lists-cards-tables'],
  ['Grid', 'grid'],
  ['Consistency', 'consistency'],
  ['Files', 'files'],
] as const

/** The style guide, part by part, and a line that leads to each. */
export function Guide() {
  return (
    <main className="flex w-[640px] shrink-0 flex-col border-r border-line-strong bg-panel">
      <h1 className="sr-only">Style guide</h1>
      <nav aria-label="Parts of the guide" className="flex h-9 shrink-0 items-center gap-0.5 border-b border-line-strong px-3">
        {NAMES.map(([name, id]) => (
          <a
            key={id}
            href={`#part-${id}`}
            className="rounded-2 px-1.5 py-1 text-label text-ink-2 hover:bg-line/60"
            onClick={(event) => {
              // The address is left alone, since it may name a block.
              event.preventDefault()
              document.getElementById(`part-${id}`)?.scrollIntoView({ block: 'start' })
            }}
          >
            {name}
          </a>
        ))}
      </nav>
      <div className="relative min-h-0 flex-1 overflow-y-auto" tabIndex={0} role="region" aria-label="Style guide" data-guide>
        {PARTS.map((Part, index) => (
          <Part key={NAMES[index]![1]} number={index + 1} />
        ))}
      </div>
    </main>
  )
}
