import { slotsOf } from '#core/deck/slots'
import type { MakeId } from '#core/values/ids'
import type { Role } from '#core/values/passage-role'
import type { Block, BlockOf, Section, WordBlock } from '#core/blocks/index'
import { walk } from '#core/blocks/tree'
import { withNewIds } from '#core/site/tree'
import type { Placeable } from './placeable'
import { withPrices } from './priced'
import { parentOf, repeat, repeatBeside } from './repeat'
import type { Style, StyleValues } from '#core/style/registry'
import { cellsOfWords } from '#core/values/table-words'
import { type Words } from '#core/values/words'

/** Slots of these roles may be followed by another of their kind, so that any number of words finds a place. */
const REPEATS: ReadonlySet<Role> = new Set<Role>(['text', 'item', 'link', 'label', 'call'])

const isTable = (words: Words) => Object.values(words).some((spans) => cellsOfWords(spans) !== undefined)

const setWords = (slot: WordBlock, { words, link }: Placeable): void => {
  slot.words = words
  // Rows of cells are a table wherever a text has its place.
  if (slot.kind === 'text' && slot.part === undefined && isTable(words)) {
    delete (slot as { type?: string }).type
    Object.assign(slot, { kind: 'table', head: 'row' })
  }
  if (link && (slot.kind === 'button' || slot.kind === 'link')) slot.link = link
}

/**
 * Puts words into the empty slots of a section, which is changed: those of an entry into the slots of that entry,
 * role by role in their order. Texts, items, links, labels and calls make more slots of their kind.
 * @returns what found no slot, by its index in the list
 */
export function fillSlots(section: Section, given: readonly Placeable[], makeId: MakeId): number[] {
  const numbers = [...new Set(given.map((one) => one.entry).filter((entry) => entry > 0))].sort((a, b) => a - b)
  const entryOf = (one: Placeable) => (one.entry === 0 ? 0 : numbers.indexOf(one.entry) + 1)
  const filled = new Map<string, WordBlock>()
  const last = new Map<string, WordBlock>()
  const slots = slotsOf(section).map((slot) => ({ ...slot }))
  const list = withPrices(given, slots)
  const inNav = new Set([...walk(section)].flatMap((block) => (block.kind === 'nav' ? block.children.map((one) => one.id) : [])))
  const suits = (one: Placeable, block: WordBlock) => one.inNav === undefined || one.inNav === inNav.has(block.id)
  const place = (one: Placeable, entry: number): boolean => {
    const key = `${entry} ${one.role} ${one.inNav}`
    let slot = slots.find(
      (other) => other.role === one.role && other.entry === entry && !filled.has(other.block.id) && suits(one, other.block),
    )?.block
    const before = last.get(key)
    if (!slot && before && REPEATS.has(one.role))
      slot = one.beside && before.kind === 'button' ? repeatBeside(section, before, makeId) : repeat(section, before, makeId)
    if (!slot) return false
    setWords(slot, one)
    const list = one.ordered ? parentOf(section, slot.id) : undefined
    if (list?.kind === 'list') list.ordered = true
    filled.set(slot.id, slot)
    last.set(key, slot)
    return true
  }
  const left = list.map((_, i) => i).filter((i) => !place(list[i]!, entryOf(list[i]!)))
  // What has no slot in its own entry may take an empty one of its role among the section's own.
  return left.filter((i) => {
    const one = list[i]!
    const free = slots.find(
      (other) => other.role === one.role && other.entry === 0 && !filled.has(other.block.id) && suits(one, other.block),
    )?.block
    if (!free) return true
    setWords(free, one)
    filled.set(free.id, free)
    return false
  })
}

type Picture = BlockOf<'picture'>
const picturesIn = (section: Section): Picture[] => [...walk(section)].filter((block): block is Picture => block.kind === 'picture')

/** What is set for the picture that a frame shows, and not for the frame. */
const CROP = ['focal', 'zoom', 'flip'] as const

/** A frame's style with the crop that was set for its picture, in the base and in its exceptions. */
function withCrop(style: Style, from: Style): Style {
  const cropIn = (values: StyleValues | undefined) =>
    Object.fromEntries(CROP.flatMap((name) => (values?.[name] === undefined ? [] : [[name, values[name]]]))) as StyleValues
  const base = { ...style.base, ...cropIn(from.base) }
  const below = { ...style.below }
  for (const [id, values] of Object.entries(from.below ?? {})) {
    const crop = cropIn(values)
    if (Object.keys(crop).length > 0) below[id] = { ...below[id], ...crop }
  }
  return {
    ...style,
    ...(Object.keys(base).length > 0 ? { base } : {}),
    ...(Object.keys(below).length > 0 ? { below } : {}),
  }
}

/**
 * Carries over what is not words: pictures with their alternative texts, links, crops and the pictures that stand for
 * them at narrower widths, icons, where a form leads, whether a nav follows the pages. A picture without a place is kept, hidden, at the section's end.
 * @returns how many pictures found no place
 */
export function carryOver(from: Section, to: Section, makeId: MakeId): number {
  const chosen = picturesIn(from).filter((one) => one.picture !== undefined)
  const frames = picturesIn(to)
  // A picture that lay behind the words goes behind them again, where the new arrangement has such a place.
  const isBackdrop = (one: Picture) => one.style.base?.position === 'backdrop'
  const order = [...chosen.filter(isBackdrop), ...chosen.filter((one) => !isBackdrop(one))]
  const places = [...frames.filter(isBackdrop), ...frames.filter((one) => !isBackdrop(one))]
  order.forEach((one, i) => {
    const { picture, alt, link, instead, turn } = one
    const held = {
      picture,
      ...(alt ? { alt } : {}),
      ...(link ? { link } : {}),
      ...(instead ? { instead } : {}),
      ...(turn ? { turn } : {}),
    }
    if (places[i]) {
      Object.assign(places[i], held)
      places[i].style = withCrop(places[i].style, one.style)
    } else
      to.children.push({
        ...withNewIds(one, makeId),
        name: 'Picture without a place',
        hidden: true,
        style: withCrop({}, one.style),
        ...held,
      } as Block)
  })
  const all = (section: Section) => [...walk(section)]
  const icons = all(from).filter((block) => block.kind === 'icon')
  all(to)
    .filter((block) => block.kind === 'icon')
    .forEach((block, i) => {
      if (icons[i]) block.icon = icons[i].icon
    })
  const form = all(from).find((block) => block.kind === 'form')
  const newForm = all(to).find((block) => block.kind === 'form')
  if (form && newForm)
    Object.assign(newForm, { ...(form.link ? { link: form.link } : {}), ...(form.sendTo ? { sendTo: form.sendTo } : {}) })
  return Math.max(0, order.length - places.length)
}
