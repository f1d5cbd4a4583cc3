import fc from 'fast-check'
import type { Element } from 'hast'
import { JSDOM } from 'jsdom'
import { toHtml } from 'hast-util-to-html'
import { beforeEach, describe, expect, test } from 'vitest'
import { choices, demoSite, editOf } from '#core/edits/edits.fixture'
import { EditError } from '#core/edits/edit'
import { applyEdit } from '#core/edits/index'
import { element } from '#core/blocks/html'
import { EDITED, patch, refill, type Shown } from './patch'
import { createViewRenderer } from './rendering'

let document: Document
let shown: Shown
let body: Element
beforeEach(() => {
  document = new JSDOM('<!doctype html><body></body>').window.document
  shown = new WeakMap()
  body = element('body', {}, [])
})

/** Brings the document to a tree, from the one before. */
function show(next: Element): void {
  patch(document.body, body, next, shown)
  body = next
}
const block = (id: string, ...children: (Element | string)[]) =>
  element(
    'p',
    { dataBlock: id },
    children.map((one) => (typeof one === 'string' ? { type: 'text', value: one } : one)),
  )
const tree = (...children: Element[]) => element('body', {}, children)

/** The body that a fresh document of the tree has. */
const fresh = (of: Element): HTMLElement => new JSDOM(toHtml(of, { closeSelfClosing: false })).window.document.body

describe('patching a view', () => {
  test('shows the very tree from before again, once another was shown between', () => {
    const first = tree(block('a', 'One'), element('div', { dataBlock: 'd' }, [block('b', 'Two')]))
    show(first)
    show(tree(block('a', 'Öne'), element('div', { dataBlock: 'd' }, [block('b', 'Twö'), block('c', 'More')])))
    show(first)
    expect(document.body.innerHTML).toBe(fresh(first).innerHTML)
  })

  test('makes what is new and takes away what is gone', () => {
    show(tree(block('a', 'One'), block('b', 'Two')))
    expect(document.body.innerHTML).toBe('<p data-block="a">One</p><p data-block="b">Two</p>')
    show(tree(block('b', 'Two'), block('c', 'Three')))
    expect(document.body.innerHTML).toBe('<p data-block="b">Two</p><p data-block="c">Three</p>')
  })

  test('keeps the nodes of blocks that stay, whatever is put before them', () => {
    show(tree(block('a', 'One'), block('b', 'Two')))
    const kept = document.querySelector('[data-block=b]')
    show(tree(block('new', 'Zero'), block('a', 'One'), block('b', 'Changed')))
    expect(document.querySelector('[data-block=b]')).toBe(kept)
    expect(kept?.textContent).toBe('Changed')
  })

  test('does not look into a tree that is the same object', () => {
    const same = block('a', 'One')
    show(tree(same))
    document.querySelector('[data-block=a]')!.textContent = 'Touched by hand'
    show(tree(same, block('b', 'Two')))
    expect(document.querySelector('[data-block=a]')?.textContent).toBe('Touched by hand')
  })

  test('sets, changes and takes away attributes, classes among them', () => {
    show(tree(element('a', { dataBlock: 'a', className: ['x', 'y'], href: '#', hidden: true }, [])))
    expect(document.body.innerHTML).toBe('<a data-block="a" class="x y" href="#" hidden=""></a>')
    show(tree(element('a', { dataBlock: 'a', className: ['y'], ariaLabel: 'Z' }, [])))
    expect(document.body.innerHTML).toBe('<a data-block="a" class="y" aria-label="Z"></a>')
  })

  test('draws icons as drawings', () => {
    show(tree(element('svg', { viewBox: '0 0 24 24', strokeWidth: '1.5' }, [element('path', { d: 'M0 0h4' }, [])])))
    const path = document.querySelector('path')!
    expect(path.namespaceURI).toBe('http://www.w3.org/2000/svg')
    expect(document.querySelector('svg')!.getAttribute('viewBox')).toBe('0 0 24 24')
    expect(document.querySelector('svg')!.getAttribute('stroke-width')).toBe('1.5')
  })

  test('leaves words alone while they are edited in place, and fills them in anew afterwards', () => {
    show(tree(block('a', 'One')))
    const node = document.querySelector('[data-block=a]')!
    node.setAttribute(EDITED, '')
    node.textContent = 'In the editor'
    const next = block('a', 'Typed')
    show(tree(next))
    expect(node.textContent).toBe('In the editor')
    node.removeAttribute(EDITED)
    refill(node, next, shown)
    expect(node.innerHTML).toBe('Typed')
    show(tree(block('a', 'Later')))
    expect(node.innerHTML).toBe('Later')
  })

  test('words of a kind that changes its element get the new one', () => {
    show(tree(element('h2', { dataBlock: 'a' }, [{ type: 'text', value: 'One' }])))
    show(tree(element('h3', { dataBlock: 'a' }, [{ type: 'text', value: 'One' }])))
    expect(document.body.innerHTML).toBe('<h3 data-block="a">One</h3>')
  })

  test('after any edits gives the document that a fresh rendering gives', () => {
    fc.assert(
      fc.property(choices, (list) => {
        document = new JSDOM('<!doctype html><body></body>').window.document
        shown = new WeakMap()
        body = element('body', {}, [])
        let site = demoSite()
        const render = createViewRenderer('en')
        show(render(site, site.pages[0]!).body)
        for (const choice of list) {
          try {
            site = applyEdit(site, editOf(choice, site)).site
          } catch (error) {
            if (!(error instanceof EditError)) throw error
          }
          show(render(site, site.pages[0]!).body)
        }
        // Nodes are compared, not text: an attribute that went and came back stands last, which means nothing.
        expect(document.body.isEqualNode(fresh(createViewRenderer('en')(site, site.pages[0]!).body))).toBe(true)
      }),
      { numRuns: 8 },
    )
  })
})
