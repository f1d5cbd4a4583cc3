import type { Block, BlockOf } from '#core/blocks/index'
import { isContainer, walk } from '#core/blocks/tree'
import { cropPosition } from '#core/picture/crop-position'
import { turned } from '#core/picture/picture'
import { type Layer, layersOfFill, seenColour } from '#core/legibility/layers'
import { readRgba, type Rgba } from '#core/legibility/rgba'
import type { Rect } from '#core/legibility/crop'
import type { Site } from '#core/site/schema'
import type { Place } from '#core/site/tree'
import type { Blend } from '#core/style/blends'
import { valuesByRange } from '#core/style/cascade'
import type { StyleValues } from '#core/style/registry'
import type { Colour } from '#core/values/colour'
import type { StageView } from './frames'

/** What lies behind a block in a view, the lowest first, in px of the page; and where a scrim would lie. */
export type Stack = {
  ground: Rgba
  layers: Layer[]
  /** The picture or the filled box over which a scrim would lie, and how many layers are under it. */
  scrimmed: { block: string; kind: 'scrim' | 'fillLayers'; after: number; instead: number; rect: Rect } | undefined
  /** True where something passes under words that stay in the window, and nothing solid of their own hides it. */
  passing: boolean
}

const WHITE: Rgba = { r: 255, g: 255, b: 255, a: 1 }

type Looking = { site: Site; range: number; view: StageView; window: Window }

const valuesOf = (block: Block, { site, range }: Looking): StyleValues => valuesByRange(block.style, site.breakpoints)[range]!
const colourIn = (colour: Colour, { site }: Looking) => seenColour(colour, site.guide.colours)

const rectOf = (element: Element): Rect => {
  const { left, top, width, height } = element.getBoundingClientRect()
  return { left, top, width, height }
}

/** The picture that a block shows at a range of widths. */
function pictureOf(block: BlockOf<'picture'>, { site, range }: Looking) {
  let id = block.picture
  for (let i = 1; i <= range; i++) id = block.instead?.[site.breakpoints[i]!.id] ?? id
  return site.pictures.find((one) => one.id === id)
}

/** How an element mixes with what is under it. */
const mixing = (style: CSSStyleDeclaration): { opacity?: number; blend?: Blend } => ({
  ...(style.opacity === '1' ? {} : { opacity: Number(style.opacity) }),
  ...(style.mixBlendMode === 'normal' ? {} : { blend: style.mixBlendMode as Blend }),
})

/** What a picture block paints, its scrim last. */
function layersOfPicture(block: BlockOf<'picture'>, looking: Looking): { picture: Layer; scrim: Layer[] } | undefined {
  const element = looking.view.frame.find(block.id)
  const found = pictureOf(block, looking)
  if (!element || !found) return undefined
  const shown = turned(found, block.turn)
  const values = valuesOf(block, looking)
  const rect = rectOf(element)
  const style = looking.window.getComputedStyle(element)
  const query = new URLSearchParams(found.type === 'image/svg+xml' && !block.turn ? {} : { w: String(Math.min(shown.width, 1600)) })
  if (block.turn) query.set('turn', String(block.turn))
  const { duotone, scrim } = values
  const [dark, light] = duotone ? [colourIn(duotone.dark, looking), colourIn(duotone.light, looking)] : []
  const radii = [style.borderTopLeftRadius, style.borderTopRightRadius, style.borderBottomRightRadius, style.borderBottomLeftRadius]
  const corners = radii.map((one) =>
    one.endsWith('%') ? (Number.parseFloat(one) / 100) * rect.width : Number.parseFloat(one) || 0,
  )
  const common = { rect, ...mixing(style) }
  const picture: Layer = {
    ...common,
    kind: 'picture',
    url: `/pictures/${found.hash}${query.size > 0 ? `?${query}` : ''}`,
    size: { width: shown.width, height: shown.height },
    crop: {
      fit: values.fit ?? 'cover',
      focal: values.focal ?? cropPosition(shown) ?? { x: 50, y: 50 },
      ...(values.zoom ? { zoom: values.zoom } : {}),
      ...(values.flip ? { flip: values.flip } : {}),
    },
    ...(values.filter ? { filter: values.filter } : {}),
    ...(values.frame ? { frame: values.frame } : {}),
    ...(corners.some((one) => one > 0) ? { corners } : {}),
    ...(values.mask ? { mask: values.mask } : {}),
    ...(dark && light ? { duotone: { dark, light } } : {}),
  }
  const tint = scrim && colourIn(scrim.colour, looking)
  if (!scrim || !tint) return { picture, scrim: [] }
  const stops = [scrim.from, scrim.to].map((strength, i) => ({ at: i * 100, colour: { ...tint, a: tint.a * strength } }))
  const flat = scrim.from === scrim.to
  return {
    picture,
    scrim: [
      flat
        ? { ...common, kind: 'colour', colour: stops[0]!.colour }
        : { ...common, kind: 'gradient', gradient: { kind: 'linear', angle: scrim.angle, space: 'srgb', stops } },
    ],
  }
}

const overlaps = (a: Rect, b: Rect) =>
  a.left < b.left + b.width && b.left < a.left + a.width && a.top < b.top + b.height && b.top < a.top + a.height

/** Pictures in a container that are painted before one of its children: behind all, or beside it in one cell or held over. */
function picturesUnder(container: Block, branch: Block, looking: Looking): BlockOf<'picture'>[] {
  if (!isContainer(container)) return []
  const at = container.children.indexOf(branch as never)
  const overlay = valuesOf(container, looking).layout === 'overlay'
  return container.children.flatMap((child: Block, index): BlockOf<'picture'>[] => {
    if (child === branch || child.hidden) return []
    const { position, layer, shown } = valuesOf(child, looking)
    const under = position === 'backdrop' || layer === 'behind' || (index < at && (overlay || position === 'held'))
    if (!under || shown === false) return []
    return [...walk(child)].filter((one): one is BlockOf<'picture'> => one.kind === 'picture')
  })
}

/** Scrims that blocks painted before one of a container's children lay around themselves, as far as the container reaches. */
function scrimsAround(container: Block, branch: Block, rect: Rect, looking: Looking): Layer[] {
  if (!isContainer(container)) return []
  const before = container.children.slice(0, container.children.indexOf(branch as never))
  return before.flatMap((child: Block): Layer[] => {
    const { around, shown, layer } = valuesOf(child, looking)
    const colour = !child.hidden && shown !== false && layer !== 'behind' && around ? colourIn(around, looking) : undefined
    return colour ? [{ kind: 'colour', colour, rect }] : []
  })
}

/**
 * Gathers what lies behind a block in a view. Something solid that covers the words hides what is under it.
 * @param words where they are, px of the page
 */
export function stackBehind(site: Site, place: Place, view: StageView, range: number, words: Rect): Stack {
  const window = view.frame.document.defaultView!
  const looking: Looking = { site, range, view, window }
  const stack: Stack = {
    ground: readRgba(window.getComputedStyle(view.frame.document.body).backgroundColor) ?? WHITE,
    layers: [],
    scrimmed: undefined,
    passing: false,
  }
  const around = {
    colour: (colour: Colour) => colourIn(colour, looking),
    picture: (id: string) => {
      const found = site.pictures.find((one) => one.id === id)
      return found && { url: `/pictures/${found.hash}?w=1600`, size: { width: found.width, height: found.height } }
    },
  }
  /** What a box paints itself. */
  const paintBox = (block: Block, element: Element, values: StyleValues) => {
    const rect = rectOf(element)
    const style = window.getComputedStyle(element)
    if (values.behind) stack.layers.push({ kind: 'behind', filter: values.behind, rect })
    const fill = readRgba(style.backgroundColor)
    if (fill?.a === 1 && covers(rect, words) && style.opacity === '1' && style.mixBlendMode === 'normal')
      Object.assign(stack, { ground: fill, layers: [], scrimmed: undefined, passing: false })
    else if (fill && fill.a > 0) stack.layers.push({ kind: 'colour', colour: fill, rect, ...mixing(style) })
    if (values.fillLayers) {
      stack.layers.push(...layersOfFill(values.fillLayers, rect, around))
      stack.scrimmed = { block: block.id, kind: 'fillLayers', after: stack.layers.length, instead: 0, rect }
    }
  }
  const paintPicture = (picture: BlockOf<'picture'>) => {
    const made = layersOfPicture(picture, looking)
    if (!made || !overlaps(made.picture.rect, words)) return
    stack.layers.push(made.picture, ...made.scrim)
    const after = stack.layers.length
    stack.scrimmed = { block: picture.id, kind: 'scrim', after, instead: made.scrim.length, rect: made.picture.rect }
  }
  /** All that a block and what it holds paint where the words are. */
  const paintAll = (block: Block) => {
    const values = valuesOf(block, looking)
    const element = block.hidden || values.shown === false ? null : view.frame.find(block.id)
    if (!element) return
    if (block.kind === 'picture') return paintPicture(block)
    if (overlaps(rectOf(element), words)) paintBox(block, element, values)
    if (isContainer(block)) block.children.toSorted((a: Block, b: Block) => low(b) - low(a)).forEach(paintAll)
  }
  const low = (block: Block) => {
    const { position, layer } = valuesOf(block, looking)
    return Number(position === 'backdrop' || layer === 'behind')
  }
  /** Whether the words are over a block; of a long page, the others need not be walked. */
  const isUnder = ({ id }: Block) => {
    const element = view.frame.find(id)
    return element !== null && overlaps(rectOf(element), words)
  }
  const chain = [...place.ancestors, place.block]
  chain.forEach((block, depth) => {
    const element = view.frame.find(block.id)
    if (!element) return
    const values = valuesOf(block, looking)
    // What stays in the window is painted over all that passes under it.
    if (values.position === 'sticky') {
      const under = (place.ancestors[depth - 1]?.children ?? site.pages[place.page]!.sections).filter(
        (one) => one !== block && isUnder(one),
      )
      under.forEach(paintAll)
      stack.passing ||= under.length > 0
    }
    paintBox(block, element, values)
    const branch = chain[depth + 1]
    if (!branch) return
    stack.layers.push(...scrimsAround(block, branch, rectOf(element), looking))
    for (const picture of picturesUnder(block, branch, looking)) paintPicture(picture)
  })
  return stack
}

const covers = (rect: Rect, words: Rect) =>
  rect.left <= words.left + 1 &&
  rect.top <= words.top + 1 &&
  rect.left + rect.width >= words.left + words.width - 1 &&
  rect.top + rect.height >= words.top + words.height - 1
