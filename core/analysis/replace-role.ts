import type { Edit } from '#core/edits/index'
import { guideEdits } from '#core/edits/guide'
import { currentOf } from '#core/site/directions'
import type { Site } from '#core/site/schema'
import type { StyleGuide } from '#core/guide/style-guide'
import { changeEverywhere } from './values-in-use'

/** A guide in which every mention of a role, in buttons, looks, light and shadows, is of another. */
function mentioned<T>(value: T, from: string, to: string): T {
  if (Array.isArray(value)) return value.map((one) => mentioned(one as unknown, from, to)) as T
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value).map(([key, one]) => [key, key === 'role' && one === from ? to : mentioned(one as unknown, from, to)]),
  ) as T
}

/** The guide after one role has given way to another, or has been renamed where no other has the name. */
function guideAfter(guide: StyleGuide, from: string, to: string): StyleGuide {
  const { colours, buttons, looks, light, shadows } = guide
  const taken = colours.some((one) => one.role === to)
  return {
    ...guide,
    colours: taken
      ? colours.filter((one) => one.role !== from)
      : colours.map((one) => (one.role === from ? { ...one, role: to } : one)),
    buttons: mentioned(buttons, from, to),
    looks: mentioned(looks, from, to),
    light: mentioned(light, from, to),
    shadows: mentioned(shadows, from, to),
  }
}

/**
 * The edits that put one colour role in the place of another wherever it is named, on pages and in every direction;
 * if no role has the new name, the old one takes it.
 */
export function replaceRole(site: Site, from: string, to: string): Edit[] {
  if (from === to) return []
  const guides = [
    ...guideEdits(site.guide, guideAfter(site.guide, from, to), currentOf(site).id),
    ...site.directions.flatMap(({ id, guide }) => (guide ? guideEdits(guide, guideAfter(guide, from, to), id) : [])),
  ]
  const blocks = changeEverywhere(site, (one) =>
    one.kind === 'colour' && 'role' in one.value && one.value.role === from ? { ...one.value, role: to } : one.value,
  )
  return [...guides, ...blocks]
}
