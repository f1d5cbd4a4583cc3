import type { Colour } from '#core/values/colour'
import { short } from '#core/values/short'
import { CLIP_SIDES, type Pose, type Way } from './pose-schema'

export type PosePart = keyof Pose

/** A colour on its way from one to another, each the role's own where nothing is said; shares from 0 to 1, and past them where a curve goes there. */
export type ColourMix = { from?: Colour; to?: Colour; share: number }

/** A pose in figures: px, degrees, shares; how much is covered from the top, right, bottom and left, in percent. */
export type Posed = {
  opacity: number
  x: number
  y: number
  scale: number
  turn: number
  blur: number
  clip: readonly [number, number, number, number]
  /** By role of the guide. */
  colours: Readonly<Record<string, ColourMix>>
}

export const AT_REST: Posed = { opacity: 1, x: 0, y: 0, scale: 1, turn: 0, blur: 0, clip: [0, 0, 0, 0], colours: {} }

const px = (value: Way | undefined, size: number) =>
  value === undefined ? 0 : value.unit === 'px' ? value.value : (value.value / 100) * size

/** A pose in figures for a block of a size, px. */
export function posed(pose: Pose, size: { width: number; height: number }): Posed {
  const clip = CLIP_SIDES.map((side) => (pose.clip?.from === side ? pose.clip.share : 0))
  return {
    opacity: pose.opacity ?? 1,
    x: px(pose.across, size.width),
    y: px(pose.down, size.height),
    scale: pose.scale ?? 1,
    turn: pose.turn ?? 0,
    blur: pose.blur ?? 0,
    clip: clip as unknown as Posed['clip'],
    colours: Object.fromEntries(Object.entries(pose.colours ?? {}).map(([role, from]) => [role, { from, share: 0 }])),
  }
}

const between = (a: number, b: number, share: number) => a + (b - a) * share

function mixColours(a: Posed['colours'], b: Posed['colours'], share: number): Posed['colours'] {
  const roles = new Set([...Object.keys(a), ...Object.keys(b)])
  const mixed: Record<string, ColourMix> = {}
  for (const role of roles) {
    const [from, to] = [a[role]?.from, b[role]?.from]
    mixed[role] = { ...(from ? { from } : {}), ...(to ? { to } : {}), share }
  }
  return mixed
}

/** What stands between two poses, figure by figure, as CSS interpolates them; opacity stays within 0 and 1. */
export function mixPoses(a: Posed, b: Posed, share: number): Posed {
  return {
    opacity: Math.min(1, Math.max(0, between(a.opacity, b.opacity, share))),
    x: between(a.x, b.x, share),
    y: between(a.y, b.y, share),
    scale: between(a.scale, b.scale, share),
    turn: between(a.turn, b.turn, share),
    blur: Math.max(0, between(a.blur, b.blur, share)),
    clip: a.clip.map((value, i) => between(value, b.clip[i]!, share)) as unknown as Posed['clip'],
    colours: mixColours(a.colours, b.colours, share),
  }
}

/** Properties that add up where several motions set them; of the rest the last one holds. */
const ADDING = ['across', 'down', 'scale', 'turn', 'blur'] as const satisfies readonly PosePart[]
export const isAdding = (part: PosePart): boolean => (ADDING as readonly PosePart[]).includes(part)

/**
 * A pose over another, as motions of one block go together (`animation-composition: add`): ways, turns and blurs add up, sizes
 * multiply; the later opacity and clip hold.
 * @param parts those that the later motion sets
 */
export function overPose(under: Posed, over: Posed, parts: ReadonlySet<PosePart>): Posed {
  return {
    opacity: parts.has('opacity') ? over.opacity : under.opacity,
    x: under.x + over.x,
    y: under.y + over.y,
    scale: under.scale * over.scale,
    turn: under.turn + over.turn,
    blur: under.blur + over.blur,
    clip: parts.has('clip') ? over.clip : under.clip,
    colours: parts.has('colours') ? { ...under.colours, ...over.colours } : under.colours,
  }
}

/** A way as CSS has it. */
export const wayToCss = (value: Way | undefined) =>
  value === undefined || value.value === 0 ? '0' : `${short(value.value)}${value.unit}`

/** Colours that a motion changes, by role, and what each comes to in CSS: the role's own where nothing is said. */
export type MovedColours = { roles: readonly string[]; toCss: (role: string, colour: Colour | undefined) => string }

/** The declarations of a pose, of the parts that are asked for; those that it does not name stand as at rest. */
export function poseToCss(pose: Pose, parts: ReadonlySet<PosePart>, colours?: MovedColours): [string, string][] {
  const out: [string, string][] = []
  if (parts.has('opacity')) out.push(['opacity', short(pose.opacity ?? 1)])
  if (parts.has('across') || parts.has('down')) {
    const down = wayToCss(pose.down)
    out.push(['translate', down === '0' ? wayToCss(pose.across) : `${wayToCss(pose.across)} ${down}`])
  }
  if (parts.has('scale')) out.push(['scale', short(pose.scale ?? 1)])
  if (parts.has('turn')) out.push(['rotate', `${short(pose.turn ?? 0)}deg`])
  if (parts.has('blur')) out.push(['filter', `blur(${short(pose.blur ?? 0)}px)`])
  if (parts.has('clip')) {
    const sides = CLIP_SIDES.map((side) => (pose.clip?.from === side ? `${short(pose.clip.share)}%` : '0'))
    out.push(['clip-path', `inset(${sides.every((one) => one === '0') ? '0' : sides.join(' ')})`])
  }
  if (parts.has('colours') && colours)
    for (const role of colours.roles) out.push([`--${role}`, colours.toCss(role, pose.colours?.[role])])
  return out
}

/** The roles whose colours some poses change. */
export const rolesMoved = (poses: readonly Pose[]): string[] => [
  ...new Set(poses.flatMap((pose) => Object.keys(pose.colours ?? {}))),
]

/** The parts that some poses name. */
export const partsOf = (poses: readonly Pose[]): Set<PosePart> =>
  new Set(poses.flatMap((pose) => (Object.keys(pose) as PosePart[]).filter((part) => pose[part] !== undefined)))
