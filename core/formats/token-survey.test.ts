import { describe, expect, test } from 'vitest'
import { DEFAULT_GUIDE } from '#core/site/defaults'
import { firstTicked, surveyTokens, withTokensTaken } from './token-survey'

const file = (name: string, json: unknown) => ({ name, text: JSON.stringify(json) })
const core = file('core.json', {
  palette: { $type: 'color', blue: { $value: '#1D4ED8' }, paper: { $value: '#FAF7F0' }, coal: { $value: '#20242B' } },
  motion: { fast: { $type: 'duration', $value: { value: 120, unit: 'ms' } } },
  weight: { strong: { $type: 'fontWeight', $value: 700 } },
})
const semantic = file('semantic.json', {
  color: {
    background: { $type: 'color', $value: '{palette.paper}' },
    text: { $value: '{palette.coal}' },
    brand: { $value: '{palette.blue}' },
    lost: { $type: 'color', $value: '{palette.green}' },
  },
  space: { $type: 'dimension', gutter: { $value: { value: 20, unit: 'px' } }, odd: { $value: '3em' } },
})

describe('files of tokens from elsewhere', () => {
  const { offers, refusals } = surveyTokens([core, semantic, { name: 'torn.json', text: '{"a":' }], DEFAULT_GUIDE)
  const offer = (path: string) => offers.find((one) => one.path === path)!

  test('are taken together: an alias may lead into another file', () => {
    expect(offer('color.background')).toMatchObject({ part: 'colours', shown: '#FAF7F0', stands: 'ground', file: 'semantic.json' })
    expect(offer('color.text')).toMatchObject({ shown: '#20242B', stands: 'ink' })
    expect(offer('color.brand')).toMatchObject({ stands: 'primary' })
    expect(offer('space.gutter')).toMatchObject({ part: 'spaces', shown: '20 px' })
  })

  test('what cannot be taken is named with its reason, and stops nothing else', () => {
    const reasons = Object.fromEntries(refusals.map((one) => [one.path || one.file, one.reason]))
    expect(reasons['motion.fast']).toBe('It is of the type “duration”, for which a style guide has no place.')
    expect(reasons['weight.strong']).toMatch(/used through the tokens/)
    expect(reasons['color.lost']).toBe('“color.lost” stands for “palette.green”, which is not in the file.')
    expect(reasons['space.odd']).toMatch(/no dimension in px or rem/)
    expect(reasons['torn.json']).toMatch(/This is no JSON/)
    expect(offers).toHaveLength(7)
  })

  test('what stands for something in the guide is ticked first, and few others with it', () => {
    const ticked = firstTicked(offers)
    expect(ticked.get(offer('color.background'))).toBe('ground')
    expect(ticked.get(offer('palette.blue'))).toBe('palette-blue')
    const many = Array.from({ length: 40 }, (_, i) => ({ ...offer('palette.blue'), path: `p.${i}`, name: `p-${i}` }))
    expect([...firstTicked([...many, offer('color.text')]).values()]).toEqual(['ink'])
  })

  test('are put in under the names that are chosen for them', () => {
    const guide = withTokensTaken(DEFAULT_GUIDE, [
      { offer: offer('color.background'), name: 'ground' },
      { offer: offer('palette.blue'), name: 'river' },
    ])
    expect(guide.colours.find((one) => one.role === 'ground')!.hex).toBe('#FAF7F0')
    expect(guide.colours.at(-1)).toEqual({ role: 'river', hex: '#1D4ED8' })
  })

  test('are refused with a sentence where they would be too many, or two of one name', () => {
    const many = Array.from({ length: 61 }, (_, i) => ({ offer: offer('palette.blue'), name: `blue-${i}` }))
    expect(() => withTokensTaken(DEFAULT_GUIDE, many)).toThrow(/That would make \d+ colours; a guide has 60 at most/)
    const twice = [offer('palette.blue'), offer('palette.coal')].map((one) => ({ offer: one, name: 'same' }))
    expect(() => withTokensTaken(DEFAULT_GUIDE, twice)).toThrow(/Two tokens are to become “same”/)
  })
})
