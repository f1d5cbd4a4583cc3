import type { Edit } from '#core/edits/index'
import { currentOf } from '#core/site/directions'
import type { Site } from '#core/site/schema'
import { findBlock, type Place } from '#core/site/tree'
import { valueInScope } from '#core/style/cascade'
import { type FillLayer, MOST_FILLS } from '#core/style/fill-layers'
import type { Scope, StyleValues } from '#core/style/registry'
import type { OverPicture } from '../live/words-over'

/** Something that makes words legible in every view in which they are not: what it is, and the edits that do it. */
export type LegibilityRepair = { label: string; edits: Edit[] }

const FROM: Record<number, string> = { 90: 'left', 270: 'right', 180: 'top', 0: 'bottom' }
const percent = (share: number) => Math.round(share * 100)

/** The repairs that were measured to be enough, the gentlest of each kind. */
export function legibilityRepairs(site: Site, place: Place, scope: Scope, found: readonly OverPicture[]): LegibilityRepair[] {
  const fails = found.filter((one) => one.measured.found.worst.ratio < one.needed)
  const [worst] = [...fails].sort((a, b) => a.measured.found.worst.ratio / a.needed - b.measured.found.worst.ratio / b.needed)
  if (!worst) return []
  const direction = currentOf(site)
  const set = (block: string, values: StyleValues, where: Scope = scope): Edit[] => [
    { kind: 'style', block, scope: where, values, ...(direction.restyled[block] ? { direction: direction.id } : {}) },
  ]
  /** What is enough for all of them; nothing where one of them has no such repair. */
  const most = (name: 'even' | 'sided' | 'blur') => {
    const all = fails.map((one) => one.measured[name])
    return all.every((one) => one !== undefined) ? Math.max(...all) : undefined
  }
  const [even, sided, blur] = [most('even'), most('sided'), most('blur')]
  const { scrimmed, scrim, angle, picture } = worst
  const owner = findBlock(site, scrimmed.block)?.block
  const now = <N extends 'fillLayers' | 'filter'>(name: N) => owner && valueInScope(owner.style, name, site.breakpoints, scope)
  const layers = now('fillLayers') ?? []
  // A full fill has no room for another layer.
  const hasRoom = scrimmed.kind === 'scrim' || layers.length < MOST_FILLS
  const over = (layer: FillLayer) => set(scrimmed.block, { fillLayers: [layer, ...layers] })
  const repairs: LegibilityRepair[] = []
  if (even !== undefined && hasRoom)
    repairs.push({
      label: `Even scrim of ${percent(even)} %`,
      edits:
        scrimmed.kind === 'scrim'
          ? set(scrimmed.block, { scrim: { colour: scrim, from: even, to: even, angle } })
          : over({ kind: 'flat', colour: scrim, opacity: even }),
    })
  if (sided !== undefined && hasRoom) {
    const stops = [sided, 0].map((alpha, i) => ({ at: i * 100, colour: { ...scrim, alpha } }))
    repairs.push({
      label: `Scrim from the ${FROM[angle]}, ${percent(sided)} %`,
      edits:
        scrimmed.kind === 'scrim'
          ? set(scrimmed.block, { scrim: { colour: scrim, from: sided, to: 0, angle } })
          : over({ kind: 'linear', angle, space: 'srgb', stops }),
    })
  }
  if (blur !== undefined && picture !== undefined)
    repairs.push({ label: `Blur of ${blur} px`, edits: set(picture, { filter: { ...now('filter'), blur } }) })
  const inks = worst.measured.inks?.filter(({ role }) =>
    fails.every((one) => one.measured.inks?.some((each) => each.role === role)),
  )
  for (const { role, ratio } of inks?.slice(0, 2) ?? [])
    repairs.push({ label: `Ink ${role}, ${ratio.toFixed(1)} : 1`, edits: set(place.block.id, { ink: { role } }) })
  const start = worst.measured.place?.start
  if (start !== undefined && fails.every((one) => one.measured.place?.start === start))
    repairs.push({ label: `Place them from column ${start}`, edits: set(place.block.id, { start }) })
  return repairs
}
