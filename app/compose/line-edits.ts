import { type GuideLine, MOST_LINES } from '#core/blocks/guide-line'
import type { Section } from '#core/blocks/section'
import { edit, selected, type SessionState, type SessionStore } from '../session/store'

/** The section that is selected, or that the selection stands in. */
export function sectionWorkedIn(state: SessionState): Section | undefined {
  const place = selected(state)
  const section = place && (place.ancestors[0] ?? place.block)
  return section?.kind === 'section' ? section : undefined
}

/** Gives a section other guide lines; none takes the field away. */
export function setLines(store: SessionStore, { id }: Section, lines: readonly GuideLine[], gesture?: string): void {
  edit(store, { kind: 'field', block: id, field: 'guideLines', value: lines.length === 0 ? null : [...lines] }, gesture)
}

/** Adds a guide line in the middle of the section that is worked in. */
export function addLine(store: SessionStore, axis: GuideLine['axis']): void {
  const section = sectionWorkedIn(store.getState())
  if (section) setLines(store, section, [...(section.guideLines ?? []), { axis, at: 50, unit: '%' }])
}

export const canAddLine = (store: SessionStore): boolean => {
  const section = sectionWorkedIn(store.getState())
  return section !== undefined && (section.guideLines?.length ?? 0) < MOST_LINES
}
