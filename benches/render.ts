import type { Element, Nodes } from 'hast'
import { freeze } from 'immer'
import { createElement, Fragment, type ReactNode } from 'react'
import { renderToStaticMarkup } from 'react-dom/server'
import { find, html, svg } from 'property-information'
import { applyEdit } from '#core/edits/index'
import { SOURCES } from '#core/render/sources'
import { createRenderer } from '#core/render/page'
import { pageFile } from '#core/render/own-links'
import { htmlText } from '#core/render/html-text'
import { documentTree, printSite } from '#core/render/site'
import { element } from '#core/blocks/html'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { median, print } from './measure'
import type { RowName } from './rows'

type Measured = { row: RowName; ratio: number; figures: string }
import { siteOf } from './pages'

const addresses = {
  picture: (picture: { name: string }, width: number | null) => `pictures/${picture.name}-${width}.webp`,
  page: pageFile,
  form: () => '#',
  stylesheet: 'style.css',
  font: (font: { name: string }) => `fonts/${font.name}`,
}
const options = {
  language: 'en',
  editing: true,
  viewportUnit: 'property' as const,
  addresses: { picture: addresses.picture, sources: SOURCES, link: () => '#', form: () => '#' },
}

const REACT_NAMES: Record<string, string> = { class: 'className', for: 'htmlFor' }

/** The same elements for React: made beforehand, so that only its printing is measured. */
function toReact(node: Nodes, key: number): ReactNode {
  if (node.type === 'text') return node.value
  if (node.type !== 'element') return 'children' in node ? createElement(Fragment, { key }, ...node.children.map(toReact)) : null
  const { tagName, properties, children } = node as Element
  const props: Record<string, unknown> = { key }
  for (const [name, value] of Object.entries(properties)) {
    const info = find(tagName === 'svg' ? svg : html, name)
    props[REACT_NAMES[info.attribute] ?? (info.property.startsWith('data') ? info.attribute : info.property)] = Array.isArray(value)
      ? value.join(' ')
      : value
  }
  return createElement(tagName, props, ...children.map(toReact))
}

function fullRender(): Measured[] {
  const site = siteOf(200)
  const page = site.pages[0]!
  const render = createRenderer({ ...options, editing: false, viewportUnit: 'unit' })
  const tree = documentTree(site, page, 'en', element('link', { rel: ['stylesheet'], href: 'style.css' }, []), render(site, page))
  const react = toReact({ type: 'root', children: tree.children.filter((one) => one.type === 'element') }, 0)
  const theirs = median(
    200,
    () => react,
    (node) => renderToStaticMarkup(node as never),
  )
  // A copy each time, so that nothing is remembered of the one before.
  const ours = median(
    200,
    () => freeze(structuredClone(site), true),
    (one) => printSite(one, { addresses, style: 'minified' }),
  )
  const printing = median(
    200,
    () => tree,
    (root) => htmlText(root),
  )
  return [
    {
      row: 'full-render',
      ratio: ours / theirs,
      figures: `${ours.toFixed(2)} ms and ${theirs.toFixed(2)} ms`,
    },
    {
      row: 'html-text',
      ratio: printing / theirs,
      figures: `${printing.toFixed(2)} ms and ${theirs.toFixed(2)} ms`,
    },
  ]
}

/** A page that has been rendered, and what makes one edit on it and renders again. */
function editing(site: Site) {
  const render = createRenderer(options)
  const blocks = [...walkPage(site.pages[0]!)].filter((block) => block.kind === 'text')
  let now = site
  let turn = 0
  render(now, now.pages[0]!)
  return () => {
    turn++
    const block = blocks[(turn * 7) % blocks.length]!.id
    now = applyEdit(now, {
      kind: 'style',
      block,
      scope: 'base',
      values: { size: { value: 12 + (turn % 40), unit: 'px' } },
    }).site
    render(now, now.pages[0]!)
  }
}

function edits(): Measured[] {
  const large = siteOf(800)
  const full = median(
    60,
    () => large,
    (one) => printSite(one, { addresses, style: 'minified' }),
  )
  const [onLarge, onSmall] = [editing(large), editing(siteOf(50))]
  // Both are timed in turns, so that what else the machine does falls on both alike.
  const times: [number[], number[]] = [[], []]
  for (let i = 0; i < 1500; i++) {
    for (const [n, work] of [onLarge, onSmall].entries()) {
      const from = performance.now()
      work()
      if (i >= 500) times[n]!.push(performance.now() - from)
    }
  }
  const [at800, at50] = times.map((list) => list.sort((a, b) => a - b)[Math.floor(list.length / 2)]!) as [number, number]
  return [
    {
      row: 'one-edit',
      ratio: at800 / full,
      figures: `${(at800 * 1000).toFixed(0)} µs and ${full.toFixed(2)} ms`,
    },
    {
      row: 'edit-by-size',
      ratio: at800 / at50,
      figures: `${(at800 * 1000).toFixed(0)} µs and ${(at50 * 1000).toFixed(0)} µs`,
    },
  ]
}

for (const { row, ratio, figures } of [...fullRender(), ...edits()]) print(row, ratio, figures)
