import { useRef } from 'react'
import { typeRoleOf } from '#core/blocks/index'
import type { Page, Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import type { Frame } from '../live/frame'
import { LivePage } from '../live/live-page'

/** One use of a type role in a view: px of its size and of its box, and its lines. */
export type TypeBox = { role: string; block: string; size: number; width: number; lines: number }
export type Measured = {
  /** Type by view width. */
  types: Map<number, TypeBox[]>
  /** Share of the page, 0 to 1, that each fill covers at the widest view, by its hex. */
  cover: Map<string, number>
}

/** Rows of text in an element: distinct tops of its line boxes. */
function linesOf(node: Element): number {
  const range = node.ownerDocument.createRange()
  range.selectNodeContents(node)
  const tops = new Set([...range.getClientRects()].filter((one) => one.width > 1).map((one) => Math.round(one.bottom / 4)))
  return tops.size
}

function typesIn(frame: Frame, site: Site, page: Page): TypeBox[] {
  const found: TypeBox[] = []
  for (const block of walkPage(page)) {
    if (!('words' in block) || block.hidden) continue
    const node = frame.find(block.id)
    if (!node || node.hasAttribute('data-empty')) continue
    const { fontSize, paddingLeft, paddingRight } = frame.document.defaultView!.getComputedStyle(node)
    found.push({
      role: typeRoleOf(block, site.guide),
      block: block.id,
      size: Number.parseFloat(fontSize),
      width: node.clientWidth - Number.parseFloat(paddingLeft) - Number.parseFloat(paddingRight),
      lines: linesOf(node),
    })
  }
  return found
}

/** Side of the squares that a page is counted in, px. */
const SQUARE = 4

const hexOfRgb = (colour: string): string | undefined => {
  const [r, g, b, a = 1] = (colour.match(/[\d.]+/g) ?? []).map(Number)
  if (a < 1 || r === undefined || g === undefined || b === undefined) return undefined
  return `#${[r, g, b].map((one) => Math.round(one).toString(16).padStart(2, '0')).join('')}`.toUpperCase()
}

/**
 * How much of a page each flat fill covers: boxes are painted in the order of the page into a raster of squares, each
 * over what was there, and pictures over all of them.
 */
function coverOf(frame: Frame): Map<string, number> {
  const { document } = frame
  const view = document.defaultView!
  const [columns, rows] = [Math.ceil(frame.width / SQUARE), Math.ceil(document.body.getBoundingClientRect().height / SQUARE)]
  const raster = new Uint16Array(columns * rows)
  const names = ['']
  for (const node of [document.body, ...document.body.querySelectorAll('*')]) {
    const picture = node.tagName === 'IMG'
    const hex = picture ? 'picture' : hexOfRgb(view.getComputedStyle(node).backgroundColor)
    if (hex === undefined) continue
    if (!names.includes(hex)) names.push(hex)
    const index = names.indexOf(hex)
    const box = node.getBoundingClientRect()
    const [left, right] = [Math.max(0, Math.round(box.left / SQUARE)), Math.min(columns, Math.round(box.right / SQUARE))]
    for (let y = Math.max(0, Math.round(box.top / SQUARE)); y < Math.min(rows, Math.round(box.bottom / SQUARE)); y++)
      raster.fill(index, y * columns + left, y * columns + right)
  }
  const counts = new Map<string, number>()
  for (const index of raster) counts.set(names[index]!, (counts.get(names[index]!) ?? 0) + 1 / raster.length)
  return counts
}

/** Lays the page out at the width of every view, out of sight, and tells what it measured. */
export function Measures({ site, page, onMeasured }: { site: Site; page: Page; onMeasured: (measured: Measured) => void }) {
  const measured = useRef<Measured>({ types: new Map(), cover: new Map() })
  const direction = site.directions.find((one) => !one.guide)!.id
  return (
    <div aria-hidden inert className="pointer-events-none fixed left-[-20000px] top-0">
      {site.views.map((width, index) => (
        <div key={width} style={{ width }}>
          <LivePage
            width={width}
            direction={direction}
            full
            still
            label={`The page at ${width} px, measured`}
            onShown={(frame) => {
              const { types, cover } = measured.current
              const next = {
                types: new Map(types).set(width, typesIn(frame, site, page)),
                cover: index === 0 ? coverOf(frame) : cover,
              }
              measured.current = next
              if (site.views.every((one) => next.types.has(one))) onMeasured(next)
            }}
          />
        </div>
      ))}
    </div>
  )
}
