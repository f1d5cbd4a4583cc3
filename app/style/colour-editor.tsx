import { Trash2 } from 'lucide-react'
import { HexColorInput } from 'react-colorful'
import { type ColourUse, USE_WORDS } from '#core/analysis/colour-uses'
import { replaceRole } from '#core/analysis/replace-role'
import { USES } from '#core/guide/looks'
import type { StyleGuide } from '#core/guide/style-guide'
import { nameSchema } from '#core/values/name'
import { useSessionStore } from '../session/context'
import { editAll } from '../session/store'
import { IconButton } from '../ui/button'
import { ChoiceIn } from './fields'
import { ColourAxes } from './colour-axes'
import { ColourSources } from './colour-sources'
import { Named, Toggle } from './part'
import { useShown } from './shown'
import { useGuide } from './use-guide'

type Role = StyleGuide['colours'][number]
const percent = (share: number) => (share < 0.001 ? 'less than 0.1%' : `${(share * 100).toFixed(share < 0.1 ? 1 : 0)}%`)

type EditorProps = { role: Role; fixed: boolean; uses: ColourUse[]; onRenamed: (role: string | null) => void }

/** One colour role: its colour by lightness, chroma and hue, where it may come from, and what it is meant for. */
export function ColourEditor({ role, fixed, uses, onRenamed }: EditorProps) {
  const store = useSessionStore()
  const { guide, site, set, attempt, forget } = useGuide()
  const { show, measured } = useShown()
  const withHex = (next: string) => guide.colours.map((one) => (one.role === role.role ? { ...one, hex: next } : one))
  // What is made to stand on another role is held against that, all others against the ground.
  const named = role.role.startsWith('on-') ? guide.colours.find((one) => one.role === role.role.slice(3)) : undefined
  const ground = (named ?? guide.colours.find((one) => one.role === 'ground'))?.hex ?? '#FFFFFF'
  const keep = (next: string) => {
    if (next.toUpperCase() === role.hex.toUpperCase()) forget()
    else set('colours', withHex(next.toUpperCase()))
  }
  const rename = (name: string) => {
    const edits = replaceRole(site, role.role, name)
    if (name !== role.role && nameSchema.safeParse(name).success && editAll(store, `rename ${role.role}`, edits)) onRenamed(name)
  }
  const cover = measured?.cover.get(role.hex.toUpperCase())
  const blocks = [...new Set(uses.flatMap((one) => one.block ?? []))]
  const tally = USES.flatMap((use) => {
    const count = uses.filter((one) => one.use === use).length
    return count > 0 ? [`${count} for ${USE_WORDS[use]}`] : []
  })
  return (
    <div className="mt-3 border border-line-strong bg-field p-3" data-editor={role.role}>
      <ColourAxes
        role={role.role}
        hex={role.hex}
        ground={ground}
        under={named?.role ?? 'the ground'}
        fixed={fixed}
        onTry={(next) => attempt({ ...guide, colours: withHex(next) })}
        onKeep={keep}
      />
      <div className="mt-3 flex flex-wrap items-end gap-2">
        <Named label="Hex">
          <HexColorInput
            aria-label={`Hex of ${role.role}`}
            prefixed
            disabled={fixed}
            color={role.hex.toUpperCase()}
            className="figure h-[26px] w-[88px] rounded-2 border border-line-strong px-2 disabled:text-muted"
            onChange={(next) => next.length === 7 && keep(next)}
          />
        </Named>
        <Named label="Name">
          <input
            aria-label={`Name of ${role.role}`}
            defaultValue={role.role}
            className="h-[26px] w-[120px] rounded-2 border border-line-strong px-2"
            onBlur={(event) => rename(event.target.value.trim())}
            onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
          />
        </Named>
        <Named label="Meant for">
          <span className="flex gap-1">
            {USES.map((use) => (
              <Toggle
                key={use}
                label={USE_WORDS[use]}
                pressed={role.only?.includes(use) ?? false}
                onPress={() => {
                  const only = role.only?.includes(use) ? role.only.filter((one) => one !== use) : [...(role.only ?? []), use]
                  const { only: _, ...rest } = role
                  set(
                    'colours',
                    guide.colours.map((one) => (one === role ? (only.length > 0 ? { ...rest, only } : rest) : one)),
                  )
                }}
              >
                {use}
              </Toggle>
            ))}
          </span>
        </Named>
        <Remove role={role.role} used={uses.length} onRemoved={() => onRenamed(null)} />
      </div>
      <p className="mt-2 text-label text-ink-2">
        {fixed && 'Fixed by the brief, which asks for this colour; change it there. '}
        {uses.length === 0
          ? 'Not used on this page.'
          : `On this page ${uses.length} ${uses.length === 1 ? 'time' : 'times'}: ${tally.join(', ')}.`}
        {cover !== undefined && ` Its fills cover ${percent(cover)} of the page at ${site.views[0]} px.`}{' '}
        {blocks.length > 0 && (
          <button type="button" className="min-h-6 underline decoration-dotted underline-offset-2" onClick={() => show(blocks[0]!)}>
            Show the first
          </button>
        )}
      </p>
      {!fixed && (
        <ColourSources
          hex={role.hex}
          onTake={keep}
          onHover={(next) => (next ? attempt({ ...guide, colours: withHex(next) }) : forget())}
        />
      )}
    </div>
  )
}

/** Takes a role away; one that is used gives way to another first. */
function Remove({ role, used, onRemoved }: { role: string; used: number; onRemoved: () => void }) {
  const store = useSessionStore()
  const { guide, site, set } = useGuide()
  const others = guide.colours.filter((one) => one.role !== role)
  if (used === 0)
    return (
      <IconButton label={`Take away ${role}`} className="ml-auto" onClick={() => set('colours', others) && onRemoved()}>
        <Trash2 size={15} strokeWidth={1.5} />
      </IconButton>
    )
  return (
    <ChoiceIn
      label="Give way to"
      name={`Role in place of ${role}`}
      width="ml-auto w-[110px]"

      placeholder="…"
      value={null}
      options={others.map((one) => ({ value: one.role, label: one.role, note: one.hex }))}
      onChange={(to) => editAll(store, `${to} in place of ${role}`, replaceRole(site, role, to)) && onRemoved()}
    />
  )
}
