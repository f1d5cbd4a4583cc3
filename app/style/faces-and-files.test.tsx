import { act } from 'react'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { applyEdit } from '#core/edits/index'
import { designTokens } from '#core/formats/design-tokens'
import { guideOf } from '#core/site/directions'
import type { OwnFont } from '#core/type/own-font'
import { undo } from '../session/store'
import { FacesPart } from './faces-part'
import { FilesPart } from './files-part'
import { stage, type Stage } from './style.fixture'

const told = vi.hoisted(() => ({ texts: [] as string[] }))
vi.mock('sonner', () => {
  const tell = (text: string) => void told.texts.push(text)
  return { toast: Object.assign(tell, { error: tell, success: tell }) }
})

let now: Stage
const saved: { name: string; text: Promise<string> }[] = []
beforeEach(() => {
  told.texts.length = 0
  saved.length = 0
  vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (this: HTMLAnchorElement) {
    saved.at(-1)!.name = this.download
  })
  Object.assign(URL, {
    createObjectURL: (blob: Blob) => {
      saved.push({ name: '', text: blob.text() })
      return 'blob:'
    },
    revokeObjectURL: () => undefined,
  })
})
afterEach(() => {
  now.end()
  vi.restoreAllMocks()
  vi.unstubAllGlobals()
})

/** Hands a file to an input, and waits until something came of it: another site, or a sentence. */
async function hand(label: string, file: File): Promise<void> {
  const before = { site: now.site(), told: told.texts.length }
  const input = now.named<HTMLInputElement>(label)
  Object.defineProperty(input, 'files', { value: [file], configurable: true })
  // Emptying a file input is nothing that this document can do.
  Object.defineProperty(input, 'value', { value: '', writable: true, configurable: true })
  await act(async () => {
    input.dispatchEvent(new Event('change', { bubbles: true }))
    await vi.waitFor(() => expect(now.site() !== before.site || told.texts.length > before.told).toBe(true), {
      timeout: 60_000,
      interval: 1,
    })
  })
}

const FONT: Omit<OwnFont, 'id'> = {
  name: 'Hollin Grotesk',
  hash: 'cd'.repeat(32),
  class: 'sans',
  weights: [400, 700],
  italic: false,
  licence: '',
  metrics: { ascent: 0.9, descent: 0.2, lineGap: 0, capHeight: 0.7, xHeight: 0.5, averageAdvance: 0.48 },
}
const answering = (answer: unknown) => vi.stubGlobal('fetch', () => Promise.resolve(Response.json(answer)))

describe('faces', () => {
  test('text faces are ranked for the heading face, and one is taken by a press', () => {
    now = stage(<FacesPart number={4} />)
    const rows = [...now.host.querySelectorAll<HTMLElement>('[data-pairing]')]
    expect(rows.length).toBeGreaterThanOrEqual(6)
    expect(rows.filter((one) => one.getAttribute('aria-pressed') === 'true').map((one) => one.dataset.pairing)).toEqual([
      'instrument-sans',
    ])
    act(() => rows[0]!.click())
    expect(now.site().guide.faces.find((one) => one.name === 'text')!.family).toBe(rows[0]!.dataset.pairing)
    now.press('All 42')
    expect(now.host.querySelectorAll('[data-pairing]')).toHaveLength(42)
  })

  test('a face is added, and taken away while nothing is set in it', () => {
    now = stage(<FacesPart number={4} />)
    now.press('Face')
    expect(now.site().guide.faces.at(-1)).toEqual({ name: 'face', family: 'inter' })
    expect(now.named<HTMLButtonElement>(/^heading sets \d+ roles/).disabled).toBe(true)
    now.press('Take away face')
    expect(now.site().guide.faces.map((one) => one.name)).toEqual(['heading', 'text'])
  })

  test('headings and text in one face have nothing to be paired', () => {
    const site = demoSite()
    const types = site.guide.types.map((one) => ({ ...one, face: 'text' }))
    now = stage(<FacesPart number={4} />, { site: applyEdit(site, { kind: 'guide', part: 'types', value: types }).site })
    expect(now.host.textContent).toContain('Set headings and text in two faces')
  })

  test('an uploaded font joins the site once, gets its licence, and goes while no face is of it', async () => {
    now = stage(<FacesPart number={4} />)
    answering(FONT)
    await hand('Font of your own', new File(['x'], 'hollin.woff2'))
    await hand('Font of your own', new File(['x'], 'hollin.woff2'))
    expect(now.site().fonts).toHaveLength(1)
    expect(told.texts).toEqual(['“Hollin Grotesk” is already among the fonts.'])
    now.type('Licence of Hollin Grotesk', 'Bought for this site')
    expect(now.site().fonts[0]!.licence).toBe('Bought for this site')
    now.press('Take away Hollin Grotesk')
    expect(now.site().fonts).toEqual([])
  })

  test('a font that is refused changes nothing and says why, and so does a server that is away', async () => {
    now = stage(<FacesPart number={4} />)
    answering({ problem: '"torn.ttf" is damaged: its tables cannot be read.' })
    await hand('Font of your own', new File(['x'], 'torn.ttf'))
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('offline')))
    await hand('Font of your own', new File(['x'], 'own.ttf'))
    expect(told.texts).toEqual([
      '"torn.ttf" is damaged: its tables cannot be read.',
      '"own.ttf" was not uploaded: the server cannot be reached.',
    ])
    expect(now.site()).toEqual(demoSite())
  })
})

describe('files', () => {
  test('tokens and custom properties go out under the name of the site and the direction', async () => {
    now = stage(<FilesPart number={10} />, { direction: 'logbook' })
    now.press('Design tokens')
    now.press('Custom properties')
    expect(saved.map((one) => one.name)).toEqual([
      'hollin-ridge-observatory-logbook.tokens.json',
      'hollin-ridge-observatory-logbook.css',
    ])
    expect(JSON.parse(await saved[0]!.text)).toEqual(
      JSON.parse(JSON.stringify(designTokens({ guide: guideOf(demoSite(), 'logbook') }))),
    )
    expect(await saved[1]!.text).toContain('--ground: #f8f3e8;')
  })

  test('tokens come in as one step, and a file that makes no sense leaves all as it was', async () => {
    now = stage(<FilesPart number={10} />)
    const input = 'File of tokens or custom properties'
    await hand(
      input,
      new File([JSON.stringify({ color: { $type: 'color', link: { $value: '#225577' }, moss: { $value: '#556B2F' } } })], 'a.json'),
    )
    expect(now.site().guide.colours.find((one) => one.role === 'link')!.hex).toBe('#225577')
    expect(now.site().guide.colours.at(-1)).toEqual({ role: 'moss', hex: '#556B2F' })
    undo(now.store)
    expect(now.site()).toEqual(demoSite())
    await hand(input, new File(['{ "a": '], 'torn.json'))
    await hand(input, new File(['body { color: red }'], 'plain.css'))
    expect(now.site()).toEqual(demoSite())
    expect(told.texts).toEqual([
      '2 tokens read from “a.json”.',
      expect.stringMatching(/^“torn\.json”: This is no JSON.* The guide is as it was\.$/) as string,
      expect.stringMatching(/^“plain\.css”: There are no custom properties/) as string,
    ])
  })

  test('a list of colours becomes roles: those of a known name change, others are new', () => {
    now = stage(<FilesPart number={10} />)
    now.type('List of colours', 'link: #225577\nmoss: #556B2F, #ABCDEF\nblueish')
    expect(now.host.textContent).toContain('No colours: blueish.')
    now.press('Put in 3')
    const { colours } = now.site().guide
    expect(colours.find((one) => one.role === 'link')!.hex).toBe('#225577')
    expect(colours.slice(-2)).toEqual([
      { role: 'moss', hex: '#556B2F' },
      { role: 'moss-2', hex: '#ABCDEF' },
    ])
  })
})
