import type { MeasuredBlock } from '#core/edges/measured'

/**
 * Measures blocks in a document, from the section inwards. It needs nothing but the document, so that it can be run in
 * any frame.
 * @param ids of a block and of all that holds it, the outermost first
 */
export function measureBlocks(ids: readonly string[], root: Document = document): MeasuredBlock[] {
  const view = root.defaultView!
  const figure = (value: string) => Number.parseFloat(value) || 0
  const edgesOf = (element: Element) => {
    const { left, right, top, bottom } = element.getBoundingClientRect()
    return { left: left + view.scrollX, right: right + view.scrollX, top: top + view.scrollY, bottom: bottom + view.scrollY }
  }
  const sides = (style: CSSStyleDeclaration, name: string, unit = '') => ({
    left: figure(style.getPropertyValue(`${name}-left${unit}`)),
    right: figure(style.getPropertyValue(`${name}-right${unit}`)),
    top: figure(style.getPropertyValue(`${name}-top${unit}`)),
    bottom: figure(style.getPropertyValue(`${name}-bottom${unit}`)),
  })
  return ids.flatMap((id) => {
    const element = root.querySelector(`[data-block="${CSS.escape(id)}"]`)
    if (!element) return []
    const style = view.getComputedStyle(element)
    const laidOut = [...element.children].flatMap((child) => {
      const own = view.getComputedStyle(child)
      const block = (child as HTMLElement).dataset.block
      const out = own.position === 'absolute' || own.display === 'none'
      return block === undefined || out ? [] : [{ id: block, edges: edgesOf(child), margin: sides(own, 'margin') }]
    })
    const tracks = style.gridTemplateColumns
    return [
      {
        edges: edgesOf(element),
        border: sides(style, 'border', '-width'),
        padding: sides(style, 'padding'),
        margin: sides(style, 'margin'),
        columnGap: figure(style.columnGap),
        rowGap: figure(style.rowGap),
        columns: /^[\d.]/.test(tracks) ? tracks.split(' ').map(figure) : [],
        laidOut,
      },
    ]
  })
}
