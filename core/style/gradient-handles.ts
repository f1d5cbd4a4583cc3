import type { GradientLayer } from './fill-layers'

type Size = { width: number; height: number }
type Spot = { x: number; y: number }

/** A handle of a gradient, px of its box: what dragging it sets, and where it stands. */
export type GradientHandle = (Spot & { name: 'middle' | 'angle' | 'across' | 'down' }) | (Spot & { name: 'stop'; index: number })

const turnOf = (angle: number) => (angle * Math.PI) / 180
/** Direction of an angle of CSS: 0 runs upwards, 90 to the right. */
const wayOf = (angle: number): Spot => ({ x: Math.sin(turnOf(angle)), y: -Math.cos(turnOf(angle)) })
/** Length of the gradient line, px (CSS Images 3, 3.1.1). */
const lineLength = (angle: number, { width, height }: Size) =>
  Math.abs(width * Math.sin(turnOf(angle))) + Math.abs(height * Math.cos(turnOf(angle)))

/** How far from its middle the angle of a conic gradient is held, px. */
const ARM = 48

const middleOf = (layer: Exclude<GradientLayer, { kind: 'linear' }>, { width, height }: Size): Spot => ({
  x: (layer.x / 100) * width,
  y: (layer.y / 100) * height,
})

/** The handles of a gradient on its box. */
export function gradientHandles(layer: GradientLayer, box: Size): GradientHandle[] {
  if (layer.kind === 'linear') {
    const [way, length] = [wayOf(layer.angle), lineLength(layer.angle, box)]
    return layer.stops.map(({ at }, index) => {
      const along = (at / 100 - 0.5) * length
      return { name: 'stop', index, x: box.width / 2 + way.x * along, y: box.height / 2 + way.y * along }
    })
  }
  const middle = middleOf(layer, box)
  if (layer.kind === 'conic') {
    const way = wayOf(layer.angle)
    return [
      { name: 'middle', ...middle },
      { name: 'angle', x: middle.x + way.x * ARM, y: middle.y + way.y * ARM },
    ]
  }
  const [across, down] = [(layer.across / 100) * box.width, (layer.down / 100) * box.height]
  return [
    { name: 'middle', ...middle },
    { name: 'across', x: middle.x + across, y: middle.y },
    { name: 'down', x: middle.x, y: middle.y + down },
  ]
}

const within = (value: number, least: number, most: number) => Math.min(most, Math.max(least, Number(value.toFixed(1))))
const angleTo = (from: Spot, to: Spot) => ((Math.atan2(to.x - from.x, from.y - to.y) * 180) / Math.PI + 360) % 360

/**
 * The gradient after one of its handles has been dragged to a point of its box. The first or the last stop of a linear one
 * also turns it, about the middle of the box as CSS does; those between keep to the line.
 * @param step degrees to which an angle keeps
 */
export function draggedGradient(layer: GradientLayer, handle: GradientHandle, to: Spot, box: Size, step = 1): GradientLayer {
  const keeping = (angle: number) => (Math.round(angle / step) * step) % 360
  if (layer.kind === 'linear') {
    if (handle.name !== 'stop') return layer
    const centre = { x: box.width / 2, y: box.height / 2 }
    const { index } = handle
    const isEnd = index === 0 || index === layer.stops.length - 1
    const before = layer.stops[index]!.at < 50
    const far = Math.hypot(to.x - centre.x, to.y - centre.y) > 8
    const angle = isEnd && far ? keeping(before ? angleTo(to, centre) : angleTo(centre, to)) : layer.angle
    const way = wayOf(angle)
    const along = (to.x - centre.x) * way.x + (to.y - centre.y) * way.y
    const at = within((along / lineLength(angle, box) + 0.5) * 100, -100, 200)
    return { ...layer, angle, stops: layer.stops.map((one, i) => (i === index ? { ...one, at } : one)) }
  }
  const middle = middleOf(layer, box)
  if (handle.name === 'middle')
    return { ...layer, x: within((to.x / box.width) * 100, -100, 200), y: within((to.y / box.height) * 100, -100, 200) }
  if (layer.kind === 'conic') return { ...layer, angle: keeping(angleTo(middle, to)) }
  return handle.name === 'across'
    ? { ...layer, across: within((Math.abs(to.x - middle.x) / box.width) * 100, 1, 300) }
    : { ...layer, down: within((Math.abs(to.y - middle.y) / box.height) * 100, 1, 300) }
}
