import { Lock, Plus } from 'lucide-react'
import { useState } from 'react'
import { brokenRules, colourUses } from '#core/analysis/colour-uses'
import type { Site } from '#core/site/schema'
import { IconButton } from '../ui/button'
import { VerdictLine } from '../ui/verdict'
import { ColourEditor } from './colour-editor'
import { useShown } from './shown'
import { Part } from './part'
import { useGuide } from './use-guide'

/** Roles whose colour the brief asks for, so that they are not changed by mistake. */
export function fixedRoles(site: Site): ReadonlySet<string> {
  const wanted = new Set(
    [...site.brief.constraints, ...site.pages.flatMap((page) => page.brief.constraints)].flatMap((one) =>
      one.kind === 'colour-wanted' ? [one.hex.toUpperCase()] : [],
    ),
  )
  return new Set(site.guide.colours.filter((one) => wanted.has(one.hex.toUpperCase())).map((one) => one.role))
}

/** A name for a new role that no other has. */
export function freeName(stem: string, taken: readonly string[]): string {
  if (!taken.includes(stem)) return stem
  let n = 2
  while (taken.includes(`${stem}-${n}`)) n++
  return `${stem}-${n}`
}

/** Colour roles: what each is, where it is used, and whether its rule is kept. */
export function ColourPart({ number }: { number: number }) {
  const { guide, site, page, set } = useGuide()
  const { show } = useShown()
  const [chosen, setChosen] = useState<string | null>(null)
  const fixed = fixedRoles(site)
  const uses = colourUses(site, page)
  const broken = brokenRules(site, page)
  const role = guide.colours.find((one) => one.role === chosen)
  const add = () => {
    const name = freeName(
      'own',
      guide.colours.map((one) => one.role),
    )
    if (set('colours', [...guide.colours, { role: name, hex: guide.colours.at(-1)?.hex ?? '#808080' }])) setChosen(name)
  }
  return (
    <Part
      number={number}
      title="Colour"
      note={`${guide.colours.length} roles${fixed.size > 0 ? `, ${fixed.size} fixed by the brief` : ''}`}
    >
      <div className="grid grid-cols-[repeat(auto-fill,minmax(76px,1fr))] gap-2">
        {guide.colours.map((one) => (
          <button
            key={one.role}
            type="button"
            data-role={one.role}
            aria-pressed={chosen === one.role}
            className="group min-w-0 rounded-2 text-left outline-offset-2 aria-pressed:outline-2 aria-pressed:outline-yarrow"
            onClick={() => setChosen(chosen === one.role ? null : one.role)}
          >
            <span className="relative block h-11 border border-line-strong group-hover:border-ink" style={{ background: one.hex }}>
              {fixed.has(one.role) && (
                <span className="absolute left-0 top-0 flex items-center gap-0.5 bg-panel px-1 text-[11px] leading-[15px] text-ink">
                  <Lock aria-hidden size={10} strokeWidth={1.75} /> fixed
                </span>
              )}
            </span>
            <span className="block truncate pt-0.5" title={one.role}>
              {one.role.replace(/-/g, ' ')}
            </span>
            <span className="figure block text-muted">{one.hex.toUpperCase()}</span>
          </button>
        ))}
        <IconButton label="Add a role" className="!h-11 !w-full border border-dashed border-line-strong" onClick={add}>
          <Plus size={16} strokeWidth={1.5} />
        </IconButton>
      </div>
      {role && (
        <ColourEditor
          key={role.role}
          role={role}
          fixed={fixed.has(role.role)}
          uses={uses.filter((one) => 'role' in one.colour && one.colour.role === role.role)}
          onRenamed={setChosen}
        />
      )}
      {broken.length > 0 && (
        <div className="mt-3 space-y-1">
          {broken.map((one) => (
            <VerdictLine key={one.role} ok={false} onShow={() => show(one.blocks[0] ?? null)}>
              {one.sentence}
            </VerdictLine>
          ))}
        </div>
      )}
    </Part>
  )
}
