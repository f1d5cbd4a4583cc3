import { isObject } from '#core/values/object'
import { isHref, mendedHref } from '#core/values/href'
import { freeAddress, isReserved } from '#core/site/address'
import { EMPTY_PAGE_BRIEF, EMPTY_SITE_BRIEF } from '#core/site/brief'
import { DEFAULT_GUIDE, FIRST_DIRECTION } from '#core/site/defaults'
import { siteAddressSchema } from '#core/site/launch'

type Document = Record<string, unknown>

type Named = { role?: string; face?: string; name?: string }

/** The items of a list; nothing of what is no list. What is no object is left as it is, for the schema to refuse. */
const itemsOf = (list: unknown): unknown[] => (Array.isArray(list) ? list : [])
const namedIn = (list: unknown): Named[] => itemsOf(list).filter(isObject)

/** A guide of version 2 with what version 3 asks for besides; what it says of its own stays as it is. */
function guideOf3(guide: Document): Document {
  const { scale, leading, baseline, light, looks } = DEFAULT_GUIDE
  const types = namedIn(guide.types)
  const colours = namedIn(guide.colours)
  const missing = (now: Named[], all: readonly Named[]) => all.filter((one) => !now.some(({ role }) => role === one.role))
  const faces = namedIn(guide.faces)
  const faceFor = (face: string | undefined) => (faces.some((one) => one.name === face) ? face : faces[0]?.name)
  return {
    ...guide,
    scale,
    leading,
    baseline,
    light,
    looks,
    colours: [...itemsOf(guide.colours), ...missing(colours, DEFAULT_GUIDE.colours)],
    types: [...itemsOf(guide.types), ...missing(types, DEFAULT_GUIDE.types).map((one) => ({ ...one, face: faceFor(one.face) }))],
    // The least height that can be hit was not asked for: none of these buttons changes.
    buttons: Array.isArray(guide.buttons)
      ? guide.buttons.map((one: unknown) => (isObject(one) ? { ...one, hit: 24 } : one))
      : guide.buttons,
  }
}

/**
 * Steps that bring a file from one version of the format to the next, by the version that they start from.
 */
const STEPS: Partial<Record<number, (document: Document) => Document>> = {
  // Version 2 brought the brief, the words that stand on no page, and the references board.
  1: (document) => ({
    ...document,
    version: 2,
    brief: EMPTY_SITE_BRIEF,
    unplaced: [],
    board: [],
    pages: Array.isArray(document.pages)
      ? document.pages.map((page: unknown) => (isObject(page) ? { ...page, brief: EMPTY_PAGE_BRIEF } : page))
      : document.pages,
  }),
  // Version 3 brought directions, own fonts, and a style guide with a scale, a light and looks.
  2: (document) => ({
    ...document,
    version: 3,
    guide: isObject(document.guide) ? guideOf3(document.guide) : document.guide,
    directions: [FIRST_DIRECTION],
    fonts: [],
  }),
  // Version 4 brought shared blocks.
  3: (document) => ({ ...document, version: 4, shared: [] }),
  // Version 5 brought layers of fill, of which a gradient is one, and all filters for what is behind a block.
  4: (document) => ({ ...(withStyles5(document) as Document), version: 5 }),
  // Version 6 puts rows of a grid as far apart as its columns, unless something else is said; before, they touched. Steps by
  // which nobody would ever see a block are no longer kept.
  5: (document) => ({ ...(withSteps6(withRows6(document)) as Document), version: 6 }),
}

/** Leaves out steps that name a block a second time, or a block that waits itself. */
function withSteps6(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withSteps6)
  if (!isObject(value)) return value
  const next: Document = Object.fromEntries(Object.entries(value).map(([key, one]) => [key, withSteps6(one)]))
  const { steps } = next
  if (!isObject(steps) || !Array.isArray(steps.at)) return next
  const at = steps.at.filter(isObject)
  const first = at.filter((one, n) => at.findIndex((each) => each.block === one.block) === n)
  const waiting = new Set(first.map((one) => one.block))
  return { ...next, steps: { ...steps, at: first.filter((one) => !waiting.has(one.of)) } }
}

const isGrid = (values: unknown): boolean => isObject(values) && values.layout === 'grid'

/** Says of grids whose rows touch in version 5, wherever they stand, that they do. */
function withRows6(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withRows6)
  if (!isObject(value)) return value
  const next: Document = Object.fromEntries(Object.entries(value).map(([key, one]) => [key, withRows6(one)]))
  const { kind, children, style } = next
  if (!Array.isArray(children) || !isObject(style)) return next
  const { base, below } = style
  const grid = kind === 'section' || isGrid(base) || (isObject(below) && Object.values(below).some(isGrid))
  const values = isObject(base) ? base : {}
  // One block alone has no second row to touch.
  if (!grid || kind === 'list' || children.length < 2 || values.rowGap !== undefined) return next
  return { ...next, style: { ...style, base: { ...values, rowGap: { value: 0, unit: 'px' } } } }
}

/** Style values of version 4, wherever they stand, as version 5 says them. */
function withStyles5(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withStyles5)
  if (!isObject(value)) return value
  const { gradient, backdropBlur, ...rest } = value
  const next: Document = Object.fromEntries(Object.entries(rest).map(([key, one]) => [key, withStyles5(one)]))
  if (isObject(gradient) && 'from' in gradient && 'to' in gradient) {
    const stops = [
      { at: 0, colour: gradient.from },
      { at: 100, colour: gradient.to },
    ]
    next.fillLayers = [{ kind: 'linear', angle: gradient.angle, space: 'srgb', stops }]
  } else if (gradient !== undefined) next.gradient = gradient
  if (typeof backdropBlur === 'number') next.behind = { blur: backdropBlur }
  else if (backdropBlur !== undefined) next.backdropBlur = backdropBlur
  return next
}

/** Gives pages whose address is kept for something else, which was once allowed, one like it that is free. */
function freeOfReserved(document: Document): Document {
  const pages = itemsOf(document.pages)
  const named = pages.filter((page): page is { address: string } => isObject(page) && typeof page.address === 'string')
  if (!named.some((page) => isReserved(page.address))) return document
  const mended = pages.map((page) =>
    isObject(page) && typeof page.address === 'string' && isReserved(page.address)
      ? { ...page, address: freeAddress(named, page.address) }
      : page,
  )
  return { ...document, pages: mended }
}

/** The addresses that were once allowed. */
const ONCE = /^(https?:\/\/|mailto:|tel:|\/|#|[\w-]+(\.html)?(#[\w-]*)?$)/i

/** Mends the addresses of links, of which some were once allowed that are read otherwise than they look. */
function withLinksMended(value: unknown): unknown {
  if (Array.isArray(value)) {
    const items = value.map(withLinksMended)
    return items.every((one, i) => one === value[i]) ? value : items
  }
  if (!isObject(value)) return value
  let mended = value
  for (const [key, before] of Object.entries(value)) {
    const isAddress = (key === 'href' || key === 'sendTo') && typeof before === 'string'
    const after = isAddress ? (ONCE.test(before) && !isHref(before) ? mendedHref(before) : before) : withLinksMended(before)
    if (after === before) continue
    if (mended === value) mended = { ...value }
    mended[key] = after
  }
  return mended
}

/** Leaves out the address that a site will have, where one was once allowed that leads elsewhere than it says. */
function withAddressKnown(document: Document): Document {
  const { launch } = document
  if (!isObject(launch) || typeof launch.address !== 'string' || siteAddressSchema.safeParse(launch.address).success)
    return document
  const { address: _, ...rest } = launch
  return { ...document, launch: rest }
}

/** Brings a document to the present version, one step at a time. */
export function upgrade(document: Document): Document {
  const step = STEPS[document.version as number]
  return step ? upgrade(step(document)) : withAddressKnown(withLinksMended(freeOfReserved(document)) as Document)
}
