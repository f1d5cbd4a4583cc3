import { describe, expect, test } from 'vitest'
import { chooserOf, demoSite } from '#core/edits/edits.fixture'
import { readColourList } from '#core/formats/colour-list'
import { cssProperties, readCssProperties } from '#core/formats/css-properties'
import { designTokens, readDesignTokens, TokensError } from '#core/formats/design-tokens'
import { FILE_KINDS } from '#core/formats/accepted'
import { surveyTokens } from '#core/formats/token-survey'
import { styleGuideSchema } from '#core/guide/style-guide'
import { captionsSchema } from '#core/blocks/video'
import { DOOR_NAMES } from './doors'
import { mutateJson, mutateText } from './mutate'

const site = demoSite()
const tokens = designTokens(site)
const css = cssProperties(site)
const colours = 'ink #16211B\nground: rgb(230 236 225)\n#EDB700, yarrow\noklch(0.7 0.1 200)\n'

/** Runs a reader on what is made of a valid example, some hundred times; it may refuse by the errors that are its own. */
function tryReader(read: (seed: number) => void, refusals: readonly string[] = []): void {
  for (let seed = 0; seed < 300; seed++) {
    try {
      read(seed)
    } catch (error) {
      if (!refusals.includes((error as Error).name)) throw new Error(`Seed ${seed}: ${String(error)}`, { cause: error })
    }
  }
}

describe('what is read in the browser gives a guide that is one, or refuses with a sentence', () => {
  test('design tokens', () => {
    tryReader(
      (seed) => {
        const choose = chooserOf(seed)
        const text =
          choose.number(2) === 0 ? JSON.stringify(mutateJson(tokens, choose)) : mutateText(JSON.stringify(tokens), choose)
        styleGuideSchema.parse(readDesignTokens(text, site.guide).guide)
      },
      [new TokensError('').name],
    )
  })

  test('tokens of others', () => {
    tryReader((seed) => {
      const text = JSON.stringify(mutateJson(tokens, chooserOf(seed), 0.1)).replaceAll('yarrowfinch', 'other')
      const { offers } = surveyTokens([{ name: 'a.json', text }], site.guide)
      expect(offers.length).toBeLessThanOrEqual(Object.keys(tokens).length * 100)
    })
  })

  test('custom properties', () => {
    tryReader(
      (seed) => void styleGuideSchema.parse(readCssProperties(mutateText(css, chooserOf(seed)), site.guide).guide),
      ['FormatError'],
    )
  })

  test('captions', () => {
    tryReader((seed) => {
      const read = captionsSchema.safeParse(mutateText('WEBVTT\n\n00:00.000 --> 00:02.000\nThe dome opens.\n', chooserOf(seed)))
      if (read.success) expect(read.data).toMatch(/^\uFEFF?WEBVTT/)
    })
  })

  test('and these are all that are not sent to the server', () => {
    expect(FILE_KINDS.filter((kind) => !DOOR_NAMES.some((door) => door.startsWith(`${kind} `)))).toEqual(['captions', 'guide'])
  })

  test('colour lists', () => {
    tryReader((seed) => {
      for (const { hex } of readColourList(mutateText(colours, chooserOf(seed))).colours) expect(hex).toMatch(/^#[0-9a-f]{6}$/i)
    })
  })
})
