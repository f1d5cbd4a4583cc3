import { Plus, X } from 'lucide-react'
import { SEVERITY_NAMES } from '#core/site/brief-words'
import type { AuditFinding } from '#core/site/brief'
import { findBlock } from '#core/site/tree'
import { blockName } from '#core/blocks/block-name'
import { makeId } from '../session/store'
import { Button, IconButton } from '../ui/button'
import { Choice } from '../ui/choice'
import { Prose } from '../ui/prose'
import { useBrief } from './use-brief'

const SEVERITIES = (['slight', 'serious', 'grave'] as const).map((value) => ({ value, label: SEVERITY_NAMES[value] }))

/** Findings of an audit of the page that exists today; each is ticked off by the section that answers it. */
export function AuditList({ onShow }: { onShow: (block: string | null) => void }) {
  const { site, setSite } = useBrief()
  const { audit } = site.brief
  const answered = audit.filter((one) => one.answeredBy && findBlock(site, one.answeredBy)).length
  const set = (id: string, values: Partial<AuditFinding>, gesture?: string) =>
    setSite({ audit: audit.map((one) => (one.id === id ? { ...one, ...values } : one)) }, gesture)
  return (
    <div>
      {audit.length > 0 && <p className="figure mb-1 text-ink-2">{`${answered}/${audit.length} answered`}</p>}
      <ul>
        {audit.map((finding) => (
          <Finding
            key={finding.id}
            finding={finding}
            onSet={(values, gesture) => set(finding.id, values, gesture)}
            onRemove={() => setSite({ audit: audit.filter((one) => one.id !== finding.id) })}
            onShow={onShow}
          />
        ))}
      </ul>
      <Button
        className="mt-2 print:hidden"
        onClick={() => setSite({ audit: [...audit, { id: makeId(), what: '', where: '', severity: 'serious', remedy: '' }] })}
      >
        <Plus size={14} strokeWidth={1.5} /> Finding
      </Button>
    </div>
  )
}

type FindingProps = {
  finding: AuditFinding
  onSet: (values: Partial<AuditFinding>, gesture?: string) => void
  onRemove: () => void
  onShow: (block: string | null) => void
}

function Finding({ finding, onSet, onRemove, onShow }: FindingProps) {
  const { site } = useBrief()
  const sections = site.pages.flatMap((page) =>
    page.sections.map((section) => ({ value: section.id, label: `${blockName(section)}, ${page.name}` })),
  )
  const place = finding.answeredBy === undefined ? undefined : findBlock(site, finding.answeredBy)
  return (
    <li className="grid grid-cols-[1fr_1fr_28px] gap-x-3 gap-y-1 border-b border-line py-2" data-answered={place !== undefined}>
      <Prose
        hidden
        label="What was found"
        placeholder="What was found"
        most={400}
        value={finding.what}
        onChange={(what, gesture) => onSet({ what }, gesture)}
      />
      <Prose
        hidden
        label="What to do"
        placeholder="What to do"
        most={400}
        value={finding.remedy}
        onChange={(remedy, gesture) => onSet({ remedy }, gesture)}
      />
      <IconButton className="print:hidden" label="Take this finding away" onClick={onRemove}>
        <X size={14} strokeWidth={1.5} />
      </IconButton>
      <div className="grid grid-cols-[1fr_96px] gap-2">
        <Prose
          hidden
          label="Where"
          placeholder="Where"
          most={400}
          value={finding.where}
          onChange={(where, gesture) => onSet({ where }, gesture)}
        />
        <Choice label="How bad" value={finding.severity} options={SEVERITIES} onChange={(severity) => onSet({ severity })} />
      </div>
      <div className="flex items-center gap-2">
        <span
          aria-hidden
          className={`h-2.5 w-2.5 shrink-0 rounded-full border ${place ? 'border-reed bg-reed' : 'border-muted'}`}
        />
        <Choice
          className="flex-1"
          label="Answered by"
          placeholder={finding.answeredBy === undefined ? 'Answered by a section …' : 'Its section is gone'}
          value={place ? finding.answeredBy! : null}
          options={sections}
          onChange={(answeredBy) => onSet({ answeredBy })}
        />
        {place && (
          <button type="button" className="min-h-6 text-label underline print:hidden" onClick={() => onShow(finding.answeredBy!)}>
            Show
          </button>
        )}
      </div>
    </li>
  )
}
