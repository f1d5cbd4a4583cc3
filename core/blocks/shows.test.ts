import { describe, expect, test } from 'vitest'
import { newBlock } from '#core/blocks/defaults'
import { demoSite } from '#core/edits/edits.fixture'
import { pageFile } from '#core/render/own-links'
import { minifyScript, PAGE_SCRIPT } from '#core/render/page-script'
import { printSite } from '#core/render/site'
import type { Site } from '#core/site/schema'
import { gzipSync } from 'node:zlib'
import type { Block } from './index'
import { roundedPath, roundedPolygon } from './rounded'
import { captionsSchema } from './video'

let next = 0
const makeId = () => `made${String(next++).padStart(4, '0')}`
const base = demoSite()

function printed(block: Block, pictures: Site['pictures'] = base.pictures, style: 'readable' | 'minified' = 'readable') {
  const section = { ...newBlock('section', makeId), job: 'story' as const, children: [block] }
  const site: Site = { ...base, pictures, shared: [], pages: [{ ...base.pages[0]!, sections: [section] }] }
  return printSite(site, {
    style,
    addresses: {
      picture: (one, width) => `${one.name}-${width}`,
      page: pageFile,
      form: () => '#',
      stylesheet: 'style.css',
      font: (font) => font.name,
      captions: (_, language) => `film.${language}.vtt`,
    },
  })
}

describe('a slideshow', () => {
  const [first, second] = base.pictures
  const slide = (picture: string): Block => ({ ...newBlock('picture', makeId), picture, alt: { en: 'A view' } })
  const show = (values: object = {}): Block =>
    ({ ...newBlock('slideshow', makeId), children: [slide(first!.id), slide(second!.id)], ...values }) as Block

  test('has all its slides in the page, each with a dot that leads to it, and its buttons hidden until a script is there', () => {
    const html = printed(show()).pages[0]!.html
    expect(html.match(/role="group"/g)).toHaveLength(2)
    const ids = [...html.matchAll(/<div id="([\w-]+)" role="group"/g)].map(([, id]) => id)
    for (const id of ids) expect(html).toContain(`href="#${id}"`)
    expect(html).toMatch(/<button type="button" hidden aria-label="Previous"/)
    expect(html).toContain('script.js')
  })

  test('that goes on by itself has a control that stops it', () => {
    expect(printed(show({ every: 5 })).pages[0]!.html).toContain('data-pause')
    expect(printed(show()).pages[0]!.html).not.toContain('data-pause')
  })

  test('of one slide needs no script', () => {
    const one = { ...newBlock('slideshow', makeId), children: [slide(first!.id)] } as Block
    expect(printed(one).script).toBeUndefined()
  })
})

describe('a video', () => {
  const film = { ...base.pictures[0]!, id: 'film', name: 'dome', type: 'video/mp4' as const, width: 1280, height: 720 }
  const block = (values: object): Block => ({ ...newBlock('video', makeId), video: 'film', ...values }) as Block

  test('is printed with its poster, its controls and its captions', () => {
    const html = printed(
      block({ poster: base.pictures[1]!.id, captions: { en: 'WEBVTT\n\n00:00.000 --> 00:02.000\nThe dome opens.' } }),
      [...base.pictures, film],
    ).pages[0]!.html
    expect(html).toMatch(/<video[^>]* width="1280" height="720" poster="[^"]+" controls preload="metadata" playsinline/)
    expect(html).toContain('<source src="dome-null" type="video/mp4">')
    expect(html).toContain('<track kind="captions" src="film.en.vtt" srclang="en" label="en" default>')
  })

  test('that runs by itself is mute, waits for the script, and can be stopped', () => {
    const html = printed(block({ background: true }), [...base.pictures, film]).pages[0]!.html
    expect(html).toMatch(/<video[^>]* muted loop playsinline/)
    expect(html).not.toContain('autoplay')
    expect(html).toContain('data-pause')
  })

  test('takes WebVTT as captions and nothing else', () => {
    expect(captionsSchema.safeParse('WEBVTT - dome\n\n').success).toBe(true)
    expect(captionsSchema.safeParse('1\n00:00:00,000 --> 00:00:02,000').success).toBe(false)
  })

  test('is none of the pictures that an image shows', () => {
    const html = printed({ ...newBlock('picture', makeId), picture: 'film' }, [...base.pictures, film]).pages[0]!.html
    expect(html).not.toContain('<img')
  })
})

test('the script weighs less than 3 kB compressed, and is the same without its comments', () => {
  const short = minifyScript(PAGE_SCRIPT)
  expect(gzipSync(short).length).toBeLessThan(3000)
  expect(short).not.toContain('/**')
  expect(() => new Function(short)).not.toThrow()
})

describe('rounded corners', () => {
  const square = [
    { x: 0, y: 0 },
    { x: 100, y: 0 },
    { x: 100, y: 100 },
    { x: 0, y: 100 },
  ]

  test('begin as far from a corner as a circle of that radius does', () => {
    expect(roundedPolygon(square, 20)).toBe('M0 20Q0 0 20 0L80 0Q100 0 100 20L100 80Q100 100 80 100L20 100Q0 100 0 80Z')
  })

  test('never meet, however large the radius', () => {
    expect(roundedPolygon(square, 500)).toBe('M0 50Q0 0 50 0L50 0Q100 0 100 50L100 50Q100 100 50 100L50 100Q0 100 0 50Z')
  })

  test('are those of straight lines alone; a curve stays as it is', () => {
    expect(roundedPath('M0 0H100V100H0Z', 20)).toBe(roundedPolygon(square, 20))
    const curve = 'M0 0C10 10 20 10 30 0Z'
    expect(roundedPath(curve, 20)).toBe(curve)
    expect(roundedPath('M0 0L50 0L50 50', 10)).toBe('M0 0L40 0Q50 0 50 10L50 50')
  })
})

describe('a drawing and a device', () => {
  test('have the colours of their parts in the stylesheet', () => {
    const { css, pages } = printed(newBlock('shape', makeId))
    expect(css).toMatch(/> :nth-child\(1\) \{\s+fill: var\(--accent\)/)
    expect(pages[0]!.html).toContain('viewBox="0 0 200 160"')
  })

  test('show a picture on their screen, or a page live, and never the page that they stand on', () => {
    const device = (values: object): Block => ({ ...newBlock('device', makeId), ...values }) as Block
    expect(printed(device({ picture: base.pictures[0]!.id })).pages[0]!.html).toContain('<image')
    expect(printed(device({ page: base.pages[0]!.id })).pages[0]!.html).not.toContain('<iframe')
  })
})

describe('pictures in several types and for ranges of widths', () => {
  const [first, second] = base.pictures
  const narrow = base.breakpoints.at(-1)!
  const block: Block = { ...newBlock('picture', makeId), picture: first!.id, instead: { [narrow.id]: second!.id } }

  test('offer the other picture first, below its breakpoint, with its own size', () => {
    const html = printed(block).pages[0]!.html
    expect(html).toMatch(new RegExp(`<source media="\\(width < ${narrow.below}px\\)" srcset="${second!.name}`))
    expect(html).toContain(`width="${second!.width}" height="${second!.height}"`)
  })

  test('turned by a quarter have their sides changed over', () => {
    const html = printed({ ...newBlock('picture', makeId), picture: first!.id, turn: 90 }).pages[0]!.html
    expect(html).toContain(`width="${first!.height}" height="${first!.width}"`)
  })
})
