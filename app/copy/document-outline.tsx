import { type DocumentHeading, HEADING_KINDS, type HeadingKind } from '#core/outlines/levels'
import { Choice } from '../ui/choice'

const NAMES: Record<HeadingKind, string> = { page: 'Page', section: 'Section', heading: 'Heading', entry: 'Entry' }
const OPTIONS = HEADING_KINDS.map((value) => ({ value, label: NAMES[value] }))
const INDENT: Record<HeadingKind, string> = { page: 'font-semibold', section: 'pl-4', heading: 'pl-8', entry: 'pl-12' }

type DocumentOutlineProps = { headings: DocumentHeading[]; onChange: (headings: DocumentHeading[]) => void }

/** What the headings of a document stand for: level by level, or one by one. */
export function DocumentOutline({ headings, onChange }: DocumentOutlineProps) {
  const depths = [...new Set(headings.map((one) => one.depth))].sort((a, b) => a - b)
  const kindAt = (depth: number): HeadingKind | null => {
    const kinds = new Set(headings.filter((one) => one.depth === depth).map((one) => one.kind))
    return kinds.size === 1 ? [...kinds][0]! : null
  }
  const setLevel = (depth: number, kind: HeadingKind) =>
    onChange(headings.map((one) => (one.depth === depth ? { ...one, kind } : one)))
  return (
    <section aria-label="Outline of the document" className="border-t border-line pt-2">
      <h3 className="font-semibold">What its headings stand for</h3>
      <div className="mt-1 flex flex-wrap gap-x-4 gap-y-1">
        {depths.map((depth) => (
          <label key={depth} className="flex items-center gap-2 text-label text-ink-2">
            Level {depth}, {headings.filter((one) => one.depth === depth).length}
            <Choice
              className="w-28"
              label={`Headings of level ${depth}`}
              placeholder="Mixed"
              value={kindAt(depth)}
              options={OPTIONS}
              onChange={(kind) => setLevel(depth, kind)}
            />
          </label>
        ))}
      </div>
      <ol className="relative mt-2 max-h-44 overflow-y-auto border border-line bg-field">
        {headings.map((one, i) => (
          <li key={i} className="flex items-center gap-2 border-b border-line px-2 last:border-b-0" data-heading={one.kind}>
            <span className={`min-w-0 flex-1 truncate ${INDENT[one.kind]}`} title={one.text}>
              {one.text}
            </span>
            <Choice
              className="w-28 shrink-0"
              label={`“${one.text}” is a`}
              value={one.kind}
              options={OPTIONS}
              onChange={(kind) => onChange(headings.map((other, at) => (at === i ? { ...other, kind } : other)))}
            />
          </li>
        ))}
      </ol>
    </section>
  )
}
