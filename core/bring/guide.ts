import { oklchDistance, oklchOf } from '#core/colour/oklch'
import type { StyleGuide, TypeRole } from '#core/guide/style-guide'
import type { OwnFont } from '#core/type/own-font'
import { familyOf, ownFamilyId } from '#core/type/families'
import { stepSize } from '#core/type/scale'
import type { Length } from '#core/values/length'
import type { Named } from './references'

/** How far another colour may be for it to stand for a missing one (distance in OKLab, 0 to about 1). */
const NEAR = 0.1
/** How much larger or smaller a type role may be to stand for a missing one, and how much heavier. */
const NEAR_SIZE = 1.2
const NEAR_WEIGHT = 200

/** The guide of a site with what it lacks for blocks of another, and the names that stand for the other's. */
export type Fitted = {
  guide: StyleGuide
  fonts: OwnFont[]
  names: Map<Named, Map<string, string>>
  /** What stands for what, and what was added, in words. */
  said: string[]
}

const nearest = <T>(list: readonly T[], far: (one: T) => number): T | undefined =>
  list.reduce<T | undefined>((best, one) => (best === undefined || far(one) < far(best) ? one : best), undefined)

/** A length at the wide end of the scale, px; what depends on its surroundings counts as its figure. */
function pxOf(length: Length, guide: StyleGuide): number {
  if ('fluid' in length) return length.fluid.to.px
  if ('token' in length) {
    const named = [...guide.spaces, ...guide.corners].find((one) => one.name === length.token)
    return named && !('token' in named.size) ? pxOf(named.size, guide) : 0
  }
  return length.unit === 'rem' || length.unit === 'em' ? length.value * 16 : length.value
}

const sizeOf = ({ size }: TypeRole, guide: StyleGuide): number =>
  'step' in size ? stepSize(guide.scale.base.wide, guide.scale.ratio.wide, size.step) : pxOf(size, guide)

/**
 * Fits the guide of a site for blocks of another. A missing colour or type role takes the nearest of the same use, or,
 * where none is near, becomes one, with its face and that face’s own font; a missing space, corner, shadow, face or kind
 * of button takes the nearest.
 * @param used names that the blocks have written in them, by kind, and that `guide` may lack
 * @param implied names that their kinds take without their being written: none can stand for these
 */
export function fitGuide(
  guide: StyleGuide,
  fonts: readonly OwnFont[],
  from: { guide: StyleGuide; fonts: readonly OwnFont[] },
  used: ReadonlyMap<Named, ReadonlySet<string>>,
  implied: ReadonlyMap<Named, ReadonlySet<string>> = new Map(),
): Fitted {
  const fitted: Fitted = { guide, fonts: [], names: new Map(), said: [] }
  const stands = (what: Named, name: string, now: string) => {
    let names = fitted.names.get(what)
    if (!names) fitted.names.set(what, (names = new Map()))
    names.set(name, now)
  }
  const lacking = (what: Named, has: (name: string) => boolean) =>
    [...new Set([...(used.get(what) ?? []), ...(implied.get(what) ?? [])])].filter((name) => !has(name))
  const isImplied = (what: Named, name: string) => implied.get(what)?.has(name) === true

  for (const name of lacking('type', (one) => guide.types.some(({ role }) => role === one))) addType(name)
  for (const name of lacking('face', (one) => guide.faces.some((face) => face.name === one))) {
    const at = from.guide.faces.findIndex((face) => face.name === name)
    stands('face', name, (guide.faces[at] ?? guide.faces[0]!).name)
  }
  for (const name of lacking('button', (one) => guide.buttons.some((kind) => kind.name === one))) {
    const at = from.guide.buttons.findIndex((kind) => kind.name === name)
    stands('button', name, (guide.buttons[at] ?? guide.buttons[0]!).name)
  }
  for (const name of lacking('token', (one) => tokensOf(guide).has(one))) addToken(name)
  for (const name of lacking('colour', (one) => guide.colours.some(({ role }) => role === one))) addColour(name)
  return fitted

  function addColour(name: string): void {
    const theirs = from.guide.colours.find(({ role }) => role === name)
    const colours = fitted.guide.colours
    if (!theirs) return stands('colour', name, colours[0]?.role ?? name)
    const at = oklchOf(theirs.hex)
    const meant = colours.filter(({ only }) => !only || !theirs.only || only.some((use) => theirs.only!.includes(use)))
    const far = (hex: string) => oklchDistance(at, oklchOf(hex))
    const best = nearest(meant, ({ hex }) => far(hex))
    if (best && far(best.hex) <= NEAR && !isImplied('colour', name)) {
      stands('colour', name, best.role)
      fitted.said.push(`${name} is ${best.role} here`)
    } else if (colours.length < 60) {
      fitted.guide = { ...fitted.guide, colours: [...colours, theirs] }
      fitted.said.push(`the colour role ${name} was added`)
    } else if (best) stands('colour', name, best.role)
  }

  function addType(name: string): void {
    const theirs = from.guide.types.find(({ role }) => role === name)
    const types = fitted.guide.types
    if (!theirs) return types[0] && stands('type', name, types[0].role)
    const size = sizeOf(theirs, from.guide)
    const far = (one: TypeRole) =>
      Math.abs(Math.log(sizeOf(one, fitted.guide) / size)) + Math.abs(one.weight - theirs.weight) / 1000
    const best = nearest(types, far)
    const ratio = best ? sizeOf(best, fitted.guide) / size : Infinity
    const isNear = best && Math.max(ratio, 1 / ratio) <= NEAR_SIZE && Math.abs(best.weight - theirs.weight) <= NEAR_WEIGHT
    if ((isNear && !isImplied('type', name)) || types.length >= 40) {
      stands('type', name, best!.role)
      fitted.said.push(`${name} is ${best!.role} here`)
      return
    }
    const face = from.guide.faces.find((one) => one.name === theirs.face)
    let faces = fitted.guide.faces
    let now = face ? theirs.face : faces[0]!.name
    if (face && !faces.some((one) => one.name === face.name)) {
      if (faces.length < 12) faces = [...faces, face]
      else now = faces[0]!.name
      const own = from.fonts.filter((one) => ownFamilyId(one) === face.family)
      for (const font of own) if (!fonts.some((one) => one.id === font.id)) fitted.fonts.push(font)
      if (now === face.name) fitted.said.push(`the face ${familyOf(face.family, from.fonts)?.name ?? face.name} came along`)
    }
    // A size by steps of their scale is that of theirs, not of ours.
    const added = { ...theirs, face: now, ...('step' in theirs.size ? { size: { value: size, unit: 'px' as const } } : {}) }
    fitted.guide = { ...fitted.guide, faces, types: [...types, added] }
    fitted.said.push(`the type role ${name} was added`)
  }

  function addToken(name: string): void {
    const list = (['spaces', 'corners'] as const).find((one) => from.guide[one].some((each) => each.name === name))
    if (list) {
      const size = pxOf(from.guide[list].find((one) => one.name === name)!.size, from.guide)
      const best = nearest(guide[list], (one) => Math.abs(pxOf(one.size, guide) - size))
      if (best) stands('token', name, best.name)
    } else {
      const at = from.guide.shadows.findIndex((one) => one.name === name)
      const best = guide.shadows[Math.min(Math.max(at, 0), guide.shadows.length - 1)]
      stands('token', name, best?.name ?? 'none')
    }
  }
}

const tokensOf = ({ spaces, corners, shadows }: StyleGuide): Set<string> =>
  new Set(['none', ...[...spaces, ...corners, ...shadows].map((one) => one.name)])
