import { describe, expect, test } from 'vitest'
import type { Site } from '#core/site/schema'
import { demoSite } from '#core/edits/edits.fixture'
import { findPictures, picturesInUse, tagsInUse } from './picture-uses'
import { pictureWarnings, warningInWords } from './picture-warnings'

const site = demoSite()

describe('where pictures are used', () => {
  test('are pages, fills, ranges of widths and the references board', () => {
    const uses = picturesInUse(site)
    const ids = new Set(site.pictures.map((one) => one.id))
    // Counted by what knows nothing of blocks: how often the id stands as a value in the document, but in the list itself.
    const counts = new Map<string, number>()
    const { pictures: _, ...rest } = site
    JSON.stringify(rest, (_key, value: unknown) => {
      if (typeof value === 'string' && ids.has(value)) counts.set(value, (counts.get(value) ?? 0) + 1)
      return value
    })
    expect(counts.size).toBeGreaterThan(3)
    expect(Object.fromEntries([...uses].map(([id, all]) => [id, all.length]))).toEqual(Object.fromEntries(counts))
    const [first, second] = site.pictures
    const [section, ...more] = site.pages[0]!.sections
    const filled = {
      ...section!,
      style: { base: { fillLayers: [{ kind: 'picture' as const, picture: second!.id, fit: 'cover' as const, x: 50, y: 50 }] } },
    }
    const changed: Site = { ...site, board: [], pages: [{ ...site.pages[0]!, sections: [filled, ...more] }] }
    expect(picturesInUse(changed).get(second!.id)).toContainEqual({ page: site.pages[0]!.id, block: section!.id, what: 'fill' })
    const without: Site = { ...site, board: [], pages: [{ ...site.pages[0]!, sections: [] }] }
    expect((picturesInUse(without).get(first!.id) ?? []).filter((one) => 'page' in one)).toEqual([])
  })

  test('pictures are found by the beginnings of words of their names and tags', () => {
    const tagged = [
      { ...site.pictures[0]!, name: 'ridge-at-dusk.jpg', tags: ['night sky'] },
      { ...site.pictures[1]!, name: 'stove.jpg', tags: [] },
    ]
    expect(findPictures(tagged, 'sky dus')).toEqual([tagged[0]])
    expect(findPictures(tagged, 'kitchen')).toEqual([])
    expect(findPictures(tagged, '')).toEqual(tagged)
    expect(tagsInUse({ pictures: [...tagged, { ...tagged[1]!, tags: ['night sky'] }] })).toEqual([{ tag: 'night sky', count: 2 }])
  })
})

describe('what is wrong with a picture where it stands', () => {
  const opening = site.pages[0]!.sections.find((one) => one.job === 'opening')!
  const block = opening.children.find((one) => one.kind === 'picture')!
  const withPicture = (values: Partial<Site['pictures'][number]>): Site => ({
    ...site,
    pictures: site.pictures.map((one) => (block.kind === 'picture' && one.id === block.picture ? { ...one, ...values } : one)),
  })

  test('is that it is larger than its file, at one or two pixels for each px', () => {
    const small = pictureWarnings(withPicture({ width: 600, height: 400 }), opening).get(block.id)!
    expect(small.map((one) => one.kind)).toContain('larger at 1x')
    const one = small.find(({ kind }) => kind === 'larger at 1x')!
    expect(one.to).toBe(2560)
    expect(one.px).toBeGreaterThanOrEqual(2560)
    expect(warningInWords(one, { width: 600 })).toMatch(/Shown larger than it is from \d+ to 2560 px/)
    expect(pictureWarnings(withPicture({ width: 12_000, height: 8000 }), opening).get(block.id) ?? []).toEqual([])
  })

  test('is that its focal point is cropped away, at the widths at which it is', () => {
    // The place keeps its own point at the right, far from what the picture says is its middle.
    const found = pictureWarnings(withPicture({ width: 12_000, height: 2000, focal: { x: 4, y: 50 } }), opening).get(block.id)!
    const focal = found.find(({ kind }) => kind === 'focal point')!
    expect(focal.from).toBe(320)
    expect(warningInWords(focal, { width: 1 })).toMatch(/^Its focal point is cropped away/)
  })
})
