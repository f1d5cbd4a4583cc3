import { pairsOn } from '#core/analysis/contrast'
import { contrast, hexOf } from '#core/colour/contrast'
import { seenOver } from '#core/legibility/blend'
import type { Colour } from '#core/values/colour'
import { oklchOf } from '#core/colour/oklch'
import { nearestPassing } from '#core/colour/nearest'
import { DEFAULT_GUIDE } from '#core/site/defaults'
import type { Site } from '#core/site/schema'
import type { StyleGuide } from '#core/guide/style-guide'
import { pixels, token } from '#core/values/length'
import { role } from '#core/values/colour'
import { FAMILIES, type Family } from '#core/type/families'
import { MOODS } from '#core/type/moods'
import { pairingsFor } from '#core/type/pairing'
import { coloursFor } from './colours'
import { type Given, givenBy } from './given'
import { type Mood, MOODS_OF_OUR_OWN } from './moods'

/** A whole style guide to begin with, and why it is as it is. */
export type FirstGuide = { id: string; name: string; note: string; reasons: string[]; guide: StyleGuide }

const clamp = (value: number, [low, high]: readonly [number, number]) => Math.min(high, Math.max(low, value))

/** How well a family suits a mood and the words of the brief's tone. */
function suits(family: Family, mood: Mood, { tone }: Given): number {
  const words = MOODS[family.id] ?? []
  const inMood = words.reduce(
    (sum, word) => sum + Math.max(0, 3 - mood.faces.indexOf(word)) * (mood.faces.includes(word) ? 1 : 0),
    0,
  )
  return inMood + 2 * words.filter((word) => tone.includes(word)).length - (family.class === 'mono' ? 3 : 0)
}

/** Heading and text face of a mood. What the client wants, then what the board shows, then what suits; no heading twice. */
function facesFor(mood: Mood, given: Given, index: number, used: ReadonlySet<string>) {
  const { families, samples } = given
  const wanted = families.length > 0 ? families : undefined
  const ranked = [...FAMILIES].sort((a, b) => suits(b, mood, given) - suits(a, mood, given) || a.id.localeCompare(b.id))
  const heading =
    wanted?.[index % wanted.length] ??
    samples[index] ??
    ranked.find((one) => !used.has(one.id) && one.class !== 'mono') ??
    ranked[0]!
  // Of text faces that pair about as well, the one that suits the mood.
  const [pairing] = pairingsFor(heading, wanted ?? FAMILIES).sort(
    (a, b) => b.score + 3 * suits(b.family, mood, given) - a.score - 3 * suits(a.family, mood, given),
  )
  return {
    heading,
    text: pairing!.family,
    reasons: pairing!.reasons.slice(0, 2),
    wanted: Boolean(wanted),
    sampled: !wanted && Boolean(samples[index]),
  }
}

function typesFor(mood: Mood, heading: Family, text: Family): StyleGuide['types'] {
  return DEFAULT_GUIDE.types.map((type) => {
    const isHeading = type.face === 'heading'
    const wanted = isHeading ? mood.weight : type.weight
    return {
      ...type,
      weight: clamp(wanted, (isHeading ? heading : text).weights),
      ...(isHeading ? { tracking: Math.round(mood.tracking * 1000) / 1000 } : {}),
      ...(type.role === 'eyebrow' && mood.eyebrow === 'capitals' ? { letterCase: 'capitals' as const, tracking: 0.08 } : {}),
    }
  })
}

function buttonsFor(mood: Mood, { fixed }: Given): StyleGuide['buttons'] {
  // Under the pointer a button takes the strongest pair that there is, whatever its own colours are.
  const hover = { fill: role('ink'), ink: role('ground'), edge: role('ink') }
  const corner = token(mood.corners[0] >= 8 ? 'corner-3' : 'corner-1')
  return DEFAULT_GUIDE.buttons.map((button) => {
    if (button.name === 'link') return { ...button, rest: { ink: role('link') }, hover: { ink: role('ink') } }
    const edgeWidth = button.name === 'secondary' ? mood.edge : 0
    // Of two colours that the client wants kept, the light one calls: it stands out of the dark one, and of pictures.
    if (button.name === 'primary' && fixed.length > 1)
      return { ...button, rest: { fill: role('accent'), ink: role('on-accent') }, corner, edgeWidth, hover }
    return { ...button, corner, edgeWidth, hover, paddingInline: pixels(mood.corners[0] >= 8 ? 28 : 24) }
  })
}

function looksFor(mood: Mood): StyleGuide['looks'] {
  const { looks } = DEFAULT_GUIDE
  return {
    ...looks,
    field: { ...looks.field, edgeWidth: mood.edge },
    // Links in words have the ink of the words, which passes wherever the words do.
    link: { rest: {}, hover: {}, underline: 'always' },
    cards: looks.cards.map((card) => ({ ...card, edgeWidth: card.name === 'raised' ? mood.edge : card.edgeWidth })),
    table: { ...looks.table, lineWidth: mood.edge },
  }
}

const spacesFor = ({ air }: Mood): StyleGuide['spaces'] =>
  DEFAULT_GUIDE.spaces.map((one) => {
    const px = 'value' in one.size ? one.size.value : 0
    return { ...one, size: pixels(Math.max(4, Math.round((px * air) / 4) * 4)) }
  })

/** Roles that the site's own guide has besides, so that nothing that names one loses its colour. */
const otherRoles = ({ guide }: Site, colours: StyleGuide['colours']): StyleGuide['colours'] =>
  guide.colours
    .filter(({ role: name }) => !colours.some((one) => one.role === name))
    .map(({ role: name, hex }) => ({ role: name, hex }))

/** A guide whose pairs of words pass on every page of a site, where colours that are not fixed can be moved for it. */
function mended(site: Site, guide: StyleGuide, fixed: readonly string[]): StyleGuide {
  let now = guide
  for (let round = 0; round < 40; round++) {
    const pairs = site.pages.flatMap((page) => pairsOn({ ...site, guide: now }, page).pairs)
    const movable = pairs
      .filter((one) => one.ratio < 4.5)
      .flatMap((one) => [one.ground, one.ink])
      .filter((name) => now.colours.some((one) => one.role === name && !fixed.includes(one.hex)))
    const moved = movable.flatMap((name) => {
      const { hex } = now.colours.find((one) => one.role === name)!
      const against = pairs.flatMap((one) =>
        one.ink === name ? [{ hex: one.groundHex, ratio: 4.6 }] : one.ground === name ? [{ hex: one.inkHex, ratio: 4.6 }] : [],
      )
      const to = nearestPassing(hex, against)
      return to && to !== hex ? [{ name, to }] : []
    })[0]
    if (!moved) return now
    now = { ...now, colours: now.colours.map((one) => (one.role === moved.name ? { ...one, hex: moved.to } : one)) }
  }
  return now
}

/** Families of hues in words, by the degree in OKLCH at which each ends. */
const HUES: [end: number, name: string][] = [
  [20, 'rosy'],
  [110, 'warm'],
  [170, 'greenish'],
  [230, 'cool green'],
  [290, 'cool blue'],
  [340, 'lilac'],
  [361, 'rosy'],
]

/** What a guide is like, in a sentence that holds of it: its ground and its headings may be the client's, and not the mood's. */
function noteFor(mood: Mood, colours: StyleGuide['colours'], heading: Family): string {
  const { ground, face, rest, use } = mood.says
  const { h, c } = oklchOf(colours.find((one) => one.role === 'ground')!.hex)
  const turned = Math.abs(((h - mood.tint.hue + 540) % 360) - 180)
  const isItsOwn = c < 0.004 || turned < 45 || !ground.startsWith('warm')
  const paper = isItsOwn ? ground : `${HUES.find(([end]) => h < end)![1]} paper`
  const suits = (MOODS[heading.id] ?? []).some((word) => mood.faces.slice(0, 2).includes(word))
  const said = [paper, suits || face === '' ? face : heading.name, rest].filter((one) => one !== '').join(', ')
  return `${said[0]!.toUpperCase()}${said.slice(1)}. ${use}`
}

/** How much of a busy button is seen, at least: as much as its words need, on the ground and on panels. */
function busyOpacity({ rest }: StyleGuide['buttons'][number], { colours }: StyleGuide): number {
  const hex = (colour: Colour | undefined) => colour && hexOf(colour, colours)
  const [fill, ink] = [hex(rest.fill), hex(rest.ink)]
  const reads = (share: number) =>
    ['ground', 'panel'].every((name) => {
      const under = hex(role(name))!
      return contrast(seenOver(ink ?? under, under, { a: share }), seenOver(fill ?? under, under, { a: share })) >= 4.6
    })
  return [0.7, 0.75, 0.8, 0.85, 0.9, 0.95].find(reads) ?? 1
}

/** Least contrast of a ring that says what has the focus (WCAG 2.2, 1.4.11 and 2.4.13). */
const RING = 3

/**
 * A guide whose rings of focus are seen on its grounds: the accent where that is enough, else the links' colour or the ink;
 * and whose buttons are still read while they are busy, when they let the ground through.
 */
function withRings(guide: StyleGuide): StyleGuide {
  const hex = (name: string) => guide.colours.find((one) => one.role === name)!.hex
  const seen = (name: string) => ['ground', 'panel'].every((under) => contrast(hex(name), hex(under)) >= RING)
  const ring = role(['accent', 'link'].find(seen) ?? 'ink')
  return {
    ...guide,
    buttons: guide.buttons.map((one) => ({
      ...one,
      ...(one.focus?.ring ? { focus: { ...one.focus, ring } } : {}),
      ...(one.busy ? { busy: { ...one.busy, opacity: busyOpacity(one, guide) } } : {}),
    })),
    looks: { ...guide.looks, field: { ...guide.looks.field, focus: { ...guide.looks.field.focus, ring } } },
  }
}

function reasonsFor(mood: Mood, given: Given, faces: ReturnType<typeof facesFor>): string[] {
  const tone = given.tone.filter((word) => mood.tone.includes(word))
  return [
    ...(tone.length > 0 ? [`The brief's tone says ${tone.join(' and ')}.`] : []),
    given.fixed.length > 0
      ? `Built on ${given.fixed.join(' and ')}, which the client wants kept.`
      : given.board.length > 0
        ? 'Its colours are those of the references board.'
        : 'Its colours are of the mood itself; neither brief nor board names any.',
    `${faces.heading.name}${faces.wanted ? ', which the client wants,' : faces.sampled ? ', from the references board,' : ''} ${
      faces.text.id === faces.heading.id ? 'for headings and text' : `with ${faces.text.name}`
    }. ${faces.reasons.join(' ')}`,
    `Steps of ${mood.ratio.narrow} on a phone and ${mood.ratio.wide} on a wide screen.`,
  ]
}

/**
 * Six whole style guides to begin with, the likeliest first, out of what the site says already: the tone and the fixed
 * colours and faces of its brief, the colours and type samples of its board, else moods of our own. The same site
 * gives the same guides; every pair of words that they make passes 4.5 : 1.
 */
export function firstGuides(site: Site): FirstGuide[] {
  const given = givenBy(site)
  const score = (mood: Mood) => given.tone.filter((word) => mood.tone.includes(word)).length
  const moods = [...MOODS_OF_OUR_OWN].sort((a, b) => score(b) - score(a))
  const used = new Set<string>()
  return moods.map((mood, index): FirstGuide => {
    const faces = facesFor(mood, given, index, used)
    used.add(faces.heading.id)
    const colours = coloursFor(mood, given, index)
    const guide: StyleGuide = {
      ...DEFAULT_GUIDE,
      colours: [...colours, ...otherRoles(site, colours)],
      faces: [
        { name: 'heading', family: faces.heading.id },
        { name: 'text', family: faces.text.id },
      ],
      scale: { ...DEFAULT_GUIDE.scale, ratio: mood.ratio },
      types: typesFor(mood, faces.heading, faces.text),
      spaces: spacesFor(mood),
      corners: mood.corners.map((px, i) => ({ name: `corner-${i + 1}`, size: pixels(px) })),
      light: { angle: 0, strength: mood.dark ? 0.6 : 0.25, role: mood.dark ? 'ground' : 'ink' },
      shadows: mood.heights.map((height, i) => ({ name: `shadow-${i + 1}`, height })),
      buttons: buttonsFor(mood, given),
      looks: looksFor(mood),
    }
    return {
      id: mood.id,
      name: mood.name,
      note: noteFor(mood, colours, faces.heading),
      reasons: reasonsFor(mood, given, faces),
      guide: withRings(mended(site, guide, given.fixed)),
    }
  })
}
