import SVGPathCommander from 'svg-path-commander'
import type { Icon } from '#core/values/icon'

type Node = Icon['nodes'][number]
const round = (value: number) => Number(value.toFixed(2))

/** A shape of an icon as path data. */
export function pathOf([tag, values]: Node): string {
  if (tag === 'path') return values.d ?? ''
  const number = (name: keyof typeof values) => Number(values[name] ?? 0)
  if (tag === 'polyline' || tag === 'polygon') {
    const points = (values.points ?? '').trim()
    return points === '' ? '' : `M${points}${tag === 'polygon' ? 'Z' : ''}`
  }
  if (tag === 'line') return `M${number('x1')} ${number('y1')}L${number('x2')} ${number('y2')}`
  if (tag === 'rect') {
    const [x, y, width, height] = [number('x'), number('y'), number('width'), number('height')]
    const r = Math.min(Number(values.rx ?? values.ry ?? 0), width / 2, height / 2)
    if (r === 0) return `M${x} ${y}H${x + width}V${y + height}H${x}Z`
    return `M${x + r} ${y}H${x + width - r}A${r} ${r} 0 0 1 ${x + width} ${y + r}V${y + height - r}A${r} ${r} 0 0 1 ${x + width - r} ${y + height}H${x + r}A${r} ${r} 0 0 1 ${x} ${y + height - r}V${y + r}A${r} ${r} 0 0 1 ${x + r} ${y}Z`
  }
  const [cx, cy] = [number('cx'), number('cy')]
  const [rx, ry] = tag === 'circle' ? [number('r'), number('r')] : [number('rx'), number('ry')]
  return `M${cx - rx} ${cy}A${rx} ${ry} 0 1 1 ${cx + rx} ${cy}A${rx} ${ry} 0 1 1 ${cx - rx} ${cy}Z`
}

/** Where something of an icon is seen on its field, its lines counted with half of their width. */
export function boundsOf(nodes: Icon['nodes'], strokeWidth = 1.5): NonNullable<Icon['bounds']> {
  const paths = nodes.map(pathOf).filter((one) => one !== '')
  if (paths.length === 0) return [0, 0, 24, 24]
  const boxes = paths.map((path) => SVGPathCommander.getPathBBox(path))
  const half = strokeWidth / 2
  const [left, top] = [Math.min(...boxes.map((one) => one.x)) - half, Math.min(...boxes.map((one) => one.y)) - half]
  const right = Math.max(...boxes.map((one) => one.x2)) + half
  const bottom = Math.max(...boxes.map((one) => one.y2)) + half
  return [round(left), round(top), round(right - left), round(bottom - top)]
}
