import { expect, test } from '@playwright/test'
import sharp from 'sharp'
import { type Gradient, gradientIn } from '#core/legibility/gradient'
import { ground, type Paint, paintOver } from '#core/legibility/painted'
import { rgbaOf } from '#core/legibility/rgba'
import { BLENDS } from '#core/style/blends'
import { type FillLayer, fillLayersToCss, type GradientLayer } from '#core/style/fill-layers'

/** Colours as they lie over each other: light and dark ones, greys, and some that let through. */
const HEXES = ['#d8492a', '#1f6b5c', '#f4ead0', '#203050', '#808080', '#000000', '#ffffff', '#edb700'] as const
const ALPHAS = [1, 0.5] as const
const SIDE = 12

/** The most that two lists of pixels differ in a channel. */
const apart = (a: Uint8ClampedArray, b: Uint8Array) => a.reduce((most, value, i) => Math.max(most, Math.abs(value - b[i]!)), 0)

async function pixelsOf(shot: Buffer) {
  const { data, info } = await sharp(shot).ensureAlpha().raw().toBuffer({ resolveWithObject: true })
  return { data: new Uint8Array(data), width: info.width, height: info.height }
}

test('every blend mode comes within 2 of 255 to what Chromium paints', async ({ page }) => {
  await page.setViewportSize({ width: 400, height: 300 })
  for (const mode of BLENDS) {
    const pairs = HEXES.flatMap((under) => HEXES.flatMap((over) => ALPHAS.map((alpha) => ({ under, over, alpha }))))
    const cells = pairs
      .map(
        ({ under, over, alpha }, i) =>
          `<div style="left:${(i % 16) * SIDE}px;top:${Math.floor(i / 16) * SIDE}px;background:${under}"><i style="background:${over};opacity:${alpha};mix-blend-mode:${mode}"></i></div>`,
      )
      .join('')
    await page.setContent(
      `<style>body{margin:0}div{position:absolute;width:${SIDE}px;height:${SIDE}px;isolation:isolate}i{position:absolute;inset:0}</style>${cells}`,
    )
    const { data, width } = await pixelsOf(await page.screenshot({ clip: { x: 0, y: 0, width: 16 * SIDE, height: 8 * SIDE } }))
    for (const [i, { under, over, alpha }] of pairs.entries()) {
      const one = ground({ width: 1, height: 1 }, rgbaOf(under))
      const rect = { left: 0, top: 0, width: 1, height: 1 }
      paintOver(one, rect, { kind: 'colour', colour: rgbaOf(over), opacity: alpha, blend: mode, rect })
      const at = ((Math.floor(i / 16) * SIDE + SIDE / 2) * width + (i % 16) * SIDE + SIDE / 2) * 4
      expect(apart(one, data.subarray(at, at + 4)), `${over} at ${alpha} by ${mode} over ${under}`).toBeLessThanOrEqual(2)
    }
  }
})

const stops = [
  { at: 10, colour: { hex: '#d8492a' } },
  { at: 55, colour: { hex: '#1f6b5c', alpha: 0.4 } },
  { at: 90, colour: { hex: '#edb700' } },
]
const GRADIENTS: GradientLayer[] = (['srgb', 'oklch'] as const).flatMap((space): GradientLayer[] => [
  { kind: 'linear', angle: 30, space, stops },
  {
    kind: 'linear',
    angle: 200,
    space,
    stops: [
      { at: -20, colour: { hex: '#203050' } },
      { at: 130, colour: { hex: '#f4ead0', alpha: 0 } },
    ],
  },
  { kind: 'radial', x: 30, y: 70, across: 60, down: 90, space, stops },
  { kind: 'conic', x: 60, y: 40, angle: 75, space, stops },
])

test('every gradient, in both spaces, comes within 2 of 255 to what Chromium paints', async ({ page }) => {
  const box = { width: 320, height: 180 }
  await page.setViewportSize({ width: 400, height: 300 })
  for (const layer of GRADIENTS) {
    const css = fillLayersToCss([layer], undefined)
    await page.setContent(`<style>body{margin:0}</style><div style="width:${box.width}px;height:${box.height}px"></div>`)
    await page.locator('div').evaluate((element, list) => {
      element.style.backgroundColor = '#f4f7f1'
      for (const [name, value] of list) element.style.setProperty(name, value)
    }, css)
    const { data } = await pixelsOf(await page.screenshot({ clip: { x: 0, y: 0, ...box } }))
    const gradient = {
      ...layer,
      stops: layer.stops.map(({ at, colour }) => ({ at, colour: rgbaOf('hex' in colour ? colour.hex : '', colour.alpha) })),
    } as Gradient
    const made = ground(box, rgbaOf('#f4f7f1'))
    const paint: Paint = { kind: 'gradient', gradient, rect: { left: 0, top: 0, ...box } }
    paintOver(made, box, paint)
    const read = gradientIn(gradient, box)
    let worst = 0
    for (let n = 0; n < made.length; n += 4) {
      const [x, y] = [(n / 4) % box.width, Math.floor(n / 4 / box.width)]
      // Where a conic gradient closes, one pixel may be of either end.
      const here = read(x + 0.5, y + 0.5)
      const beside = [read(x - 1, y - 1), read(x + 2, y + 2), read(x - 1, y + 2), read(x + 2, y - 1)]
      if (beside.some((one) => Math.abs(one.r - here.r) + Math.abs(one.b - here.b) > 60)) continue
      worst = Math.max(worst, apart(made.subarray(n, n + 4), data.subarray(n, n + 4)))
    }
    expect(worst, `${layer.kind} in ${layer.space}`).toBeLessThanOrEqual(2)
  }
})

test('layers blend with each other and with the fill under them as Chromium paints it', async ({ page }) => {
  const box = { width: 200, height: 120 }
  const layers: FillLayer[] = [
    {
      kind: 'linear',
      angle: 90,
      space: 'oklch',
      blend: 'overlay',
      stops: [
        { at: 0, colour: { hex: '#edb700' } },
        { at: 100, colour: { hex: '#203050', alpha: 0.5 } },
      ],
    },
    { kind: 'flat', colour: { hex: '#1f6b5c' }, opacity: 0.6, blend: 'multiply' },
  ]
  await page.setContent(
    `<style>body{margin:0}</style><div style="width:${box.width}px;height:${box.height}px;background-color:#d8c9a0"></div>`,
  )
  await page.locator('div').evaluate(
    (element, list) => {
      for (const [name, value] of list) element.style.setProperty(name, value)
    },
    fillLayersToCss(layers, undefined),
  )
  const { data } = await pixelsOf(await page.screenshot({ clip: { x: 0, y: 0, ...box } }))
  const made = ground(box, rgbaOf('#d8c9a0'))
  const rect = { left: 0, top: 0, ...box }
  const [over, under] = layers
  if (over!.kind !== 'linear' || under!.kind !== 'flat') throw new Error('Other layers.')
  paintOver(made, box, { kind: 'colour', colour: rgbaOf('#1f6b5c', 0.6), blend: 'multiply', rect })
  const stopsOf = over!.stops.map(({ at, colour }) => ({ at, colour: rgbaOf('hex' in colour ? colour.hex : '', colour.alpha) }))
  paintOver(made, box, {
    kind: 'gradient',
    gradient: { kind: 'linear', angle: 90, space: 'oklch', stops: stopsOf },
    blend: 'overlay',
    rect,
  })
  expect(apart(made, data)).toBeLessThanOrEqual(3)
})
