import { Plus, X } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import { useMemo } from 'react'
import { verdictOn } from '#core/analysis/brief'
import { CONSTRAINT_NAMES } from '#core/site/brief-words'
import { JOBS } from '#core/blocks/section'
import { readHex } from '#core/colour/read-colour'
import type { Constraint } from '#core/site/brief'
import { FAMILIES } from '#core/type/families'
import { makeId } from '../session/store'
import { IconButton } from '../ui/button'
import { NumberField } from '../ui/number-field'
import { TakenField } from '../ui/taken-field'
import { VerdictLine } from '../ui/verdict'
import { useBrief } from './use-brief'
import { Several } from './several'

type Kind = Constraint['kind']
const KINDS = Object.keys(CONSTRAINT_NAMES) as Kind[]

/** A constraint as it is first put down. */
const FIRST: { [K in Kind]: Omit<Extract<Constraint, { kind: K }>, 'id'> } = {
  'colour-wanted': { kind: 'colour-wanted', hex: '#1A1D47' },
  'colour-unwanted': { kind: 'colour-unwanted', hex: '#FF0000' },
  faces: { kind: 'faces', families: ['public-sans'] },
  'most-links': { kind: 'most-links', count: 7 },
  'one-action': { kind: 'one-action' },
  confirmation: { kind: 'confirmation' },
  sections: { kind: 'sections', jobs: ['opening', 'closing'] },
  'opening-words': { kind: 'opening-words', count: 60 },
}

/** What the client wants kept to, each with its verdict on the page. Those of the site hold for every page. */
export function Constraints({ onShow }: { onShow: (block: string | null) => void }) {
  const { site, page, setSite, setPage } = useBrief()
  return (
    <div className="grid gap-3">
      <ConstraintList
        title="On every page"
        list={site.brief.constraints}
        onChange={(constraints) => setSite({ constraints })}
        onShow={onShow}
      />
      <ConstraintList
        title={`On ${page.name}`}
        list={page.brief.constraints}
        onChange={(constraints) => setPage({ constraints })}
        onShow={onShow}
      />
    </div>
  )
}

type ListProps = {
  title: string
  list: Constraint[]
  onChange: (list: Constraint[]) => void
  onShow: (block: string | null) => void
}

function ConstraintList({ title, list, onChange, onShow }: ListProps) {
  const { site, page } = useBrief()
  const verdicts = useMemo(() => list.map((one) => verdictOn(one, page, site)), [list, page, site])
  const kept = verdicts.filter((one) => one.ok).length
  return (
    <div>
      <div className="flex items-center justify-between">
        <h3 className="text-label text-ink-2">
          {title}
          {list.length > 0 && <span className="figure ml-2">{`${kept}/${list.length} kept`}</span>}
        </h3>
        <AddMenu title={title} onAdd={(kind) => onChange([...list, { id: makeId(), ...FIRST[kind] } as Constraint])} />
      </div>
      <ul>
        {list.map((one, i) => (
          <li
            key={one.id}
            className="grid grid-cols-[1fr_210px_28px] items-center gap-3 border-b border-line py-1"
            data-constraint={one.kind}
          >
            <ConstraintEditor
              constraint={one}
              onChange={(next) => onChange(list.map((other) => (other.id === one.id ? next : other)))}
            />
            <VerdictLine ok={verdicts[i]!.ok} onShow={verdicts[i]!.block ? () => onShow(verdicts[i]!.block!) : undefined}>
              {verdicts[i]!.sentence}
            </VerdictLine>
            <IconButton
              className="print:hidden"
              label={`Take away: ${CONSTRAINT_NAMES[one.kind]}`}
              onClick={() => onChange(list.filter((other) => other.id !== one.id))}
            >
              <X size={14} strokeWidth={1.5} />
            </IconButton>
          </li>
        ))}
      </ul>
      {list.length === 0 && <p className="text-label text-muted">None yet.</p>}
    </div>
  )
}

function AddMenu({ title, onAdd }: { title: string; onAdd: (kind: Kind) => void }) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        aria-label={`Add a constraint: ${title}`}
        className="flex h-6 items-center gap-1 rounded-2 px-1.5 text-label hover:bg-line/60 print:hidden"
      >
        <Plus size={12} strokeWidth={1.5} /> Constraint
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={2}
          className="z-50 rounded-2 border border-line-strong bg-field p-1 shadow-float"
        >
          {KINDS.map((kind) => (
            <DropdownMenu.Item
              key={kind}
              className="flex h-7 cursor-default items-center rounded-2 px-2 outline-none data-[highlighted]:bg-ground"
              onSelect={() => onAdd(kind)}
            >
              {CONSTRAINT_NAMES[kind]}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}

const FAMILY_OPTIONS = FAMILIES.map((one) => ({ value: one.id, label: one.name }))
const JOB_OPTIONS = JOBS.map((job) => ({ value: job, label: job.replace('-', ' ') }))

function ConstraintEditor({ constraint, onChange }: { constraint: Constraint; onChange: (next: Constraint) => void }) {
  const name = CONSTRAINT_NAMES[constraint.kind]
  switch (constraint.kind) {
    case 'colour-wanted':
    case 'colour-unwanted':
      return (
        <span className="flex items-center gap-2">
          <span aria-hidden className="h-4 w-4 rounded-2 border border-line-strong" style={{ background: constraint.hex }} />
          <span>{name}</span>
          <TakenField
            label={name}
            value={constraint.hex}
            className="figure w-24 print:border-0"
            onTake={(typed) => {
              const hex = readHex(typed)
              if (hex) onChange({ ...constraint, hex })
              return hex ? undefined : `“${typed}” is no colour. Write it as CSS does: #1A1D47, #FFF or navy, without transparency.`
            }}
          />
        </span>
      )
    case 'faces':
      return (
        <span className="flex items-center gap-2">
          <span className="shrink-0">{name}</span>
          <Several
            label={name}
            value={constraint.families}
            options={FAMILY_OPTIONS}
            onChange={(families) => onChange({ ...constraint, families })}
          />
        </span>
      )
    case 'sections':
      return (
        <span className="flex items-center gap-2">
          <span className="shrink-0">{name}</span>
          <Several
            label={name}
            value={constraint.jobs}
            options={JOB_OPTIONS}
            onChange={(jobs) => onChange({ ...constraint, jobs })}
          />
        </span>
      )
    case 'most-links':
    case 'opening-words':
      return (
        <span className="flex items-center gap-2">
          <span>{name}, at most</span>
          <NumberField
            className="w-16"
            label={`${name}, at most`}
            whole
            least={constraint.kind === 'most-links' ? 0 : 1}
            most={1000}
            value={constraint.count}
            onChange={(count) => onChange({ ...constraint, count })}
          />
          {constraint.kind === 'most-links' && constraint.count === 0 && (
            <span className="text-label text-ink-2">no navigation</span>
          )}
        </span>
      )
    case 'one-action':
      return <span>{name}: every button and link leads to it</span>
    case 'confirmation':
      return <span>{name}, without leaving the site</span>
  }
}
