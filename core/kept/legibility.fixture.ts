import { behind, drawnIn } from '#core/legibility/crop'
import type { Gradient } from '#core/legibility/gradient'
import { heatOf, leastStrength, legibilityOf } from '#core/legibility/legibility'
import { ground, painted } from '#core/legibility/painted'
import type { Rgba } from '#core/legibility/rgba'
import { BLENDS } from '#core/style/blends'
import { seededRandom } from '#core/values/ids.fixture'

const PART = { width: 24, height: 16 }
const INK = { r: 255, g: 255, b: 255, a: 0.9 }
const COLOURS: Rgba[] = [
  { r: 0, g: 0, b: 0, a: 1 },
  { r: 255, g: 255, b: 255, a: 0.5 },
  { r: 250, g: 120, b: 10, a: 1 },
  { r: 30, g: 60, b: 200, a: 0.75 },
  { r: 128, g: 128, b: 128, a: 1 },
]

/** Pixels that no two of are alike, opaque but for some. */
function noise(seed: number): Uint8ClampedArray {
  const random = seededRandom(seed)
  return Uint8ClampedArray.from({ length: PART.width * PART.height * 4 }, (_, n) =>
    n % 4 === 3 && n % 28 !== 3 ? 255 : Math.floor(random() * 256),
  )
}

/** Paths of gradients, as their kinds have them. */
const GRADIENTS: Gradient[] = (['srgb', 'oklch'] as const).flatMap((space) => {
  const stops = [
    { at: 0, colour: COLOURS[2]! },
    { at: 40, colour: COLOURS[3]! },
    { at: 30, colour: COLOURS[1]! },
    { at: 100, colour: { r: 0, g: 0, b: 0, a: 0 } },
  ]
  return [
    ...[0, 37, 90, 200].map((angle): Gradient => ({ kind: 'linear', angle, stops, space })),
    { kind: 'radial', x: 6, y: 9, across: 12, down: 7, stops, space },
    { kind: 'conic', x: 7, y: 6, angle: 45, stops, space },
  ]
})

/** Every way in which something is painted over something, each by its name, and how words stand on it. */
export function paintings(): Map<string, unknown> {
  const rect = { left: 3, top: -2, width: 14, height: 12 }
  const looked = (pixels: Uint8ClampedArray) => {
    const words = { pixels, part: PART, lines: [{ left: 2, top: 3, width: 18, height: 9 }], patch: 4, ink: INK }
    const { columns, rows, ratios } = heatOf(words)
    return [[...pixels], legibilityOf(words), columns, rows, [...ratios]]
  }
  const under = [
    ground(PART, COLOURS[3]!),
    painted(ground(PART, COLOURS[4]!), PART, [{ kind: 'pixels', rect: { left: 0, top: 0, ...PART }, pixels: noise(1) }]),
  ]
  const blends = BLENDS.map((blend): [string, unknown] => [
    blend,
    under.map((pixels) => [
      ...COLOURS.map((colour) => looked(painted(pixels, PART, [{ kind: 'colour', colour, rect, blend, opacity: 0.8 }]))),
      looked(painted(pixels, PART, [{ kind: 'pixels', pixels: noise(2), rect, blend }])),
    ]),
  ])
  const gradients = GRADIENTS.map((gradient, n): [string, unknown] => [
    `gradient ${n + 1}`,
    under.map((pixels) => looked(painted(pixels, PART, [{ kind: 'gradient', gradient, rect }]))),
  ])
  const crops = (['cover', 'contain'] as const).flatMap((fit) =>
    (['none', 'across', 'down', 'both'] as const).map((flip): [string, unknown] => [
      `${fit} ${flip}`,
      [1, 1.5].map((zoom) => {
        const crop = { fit, flip, zoom, focal: { x: 20, y: 70 } }
        const [box, picture] = [
          { width: 300, height: 200 },
          { width: 1600, height: 900 },
        ]
        return [drawnIn(box, picture, crop), behind({ left: 40, top: 30, width: 120, height: 50 }, box, picture, crop)]
      }),
    ]),
  )
  const strengths = [0, 1.2, 3, 4.5, 8, 22].map((needed) => leastStrength(needed, (strength) => 1 + strength * 9))
  return new Map([...blends, ...gradients, ...crops, ['strengths', strengths]])
}
