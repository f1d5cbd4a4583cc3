import { describe, expect, test } from 'vitest'
import { layersOf } from '#core/guide/shadows'
import { contactShadow, shadowLayers } from './light'

const light = { angle: 0, strength: 0.3, role: 'ink' }

describe('a shadow', () => {
  test('of light from above falls straight down, each layer half as far as the one before', () => {
    expect(shadowLayers(16, light)).toEqual([
      { x: 0, y: 16, blur: 32, spread: -4, colour: { role: 'ink', alpha: 0.1 } },
      { x: 0, y: 8, blur: 16, spread: -2, colour: { role: 'ink', alpha: 0.1 } },
      { x: 0, y: 4, blur: 8, spread: -1, colour: { role: 'ink', alpha: 0.1 } },
    ])
  })

  test('falls to the left of light from the right', () => {
    const [far] = shadowLayers(20, { ...light, angle: 90 })
    expect(far).toMatchObject({ x: -20, y: 0 })
  })

  test('of nothing that floats is none', () => expect(shadowLayers(0, light)).toEqual([]))

  test('of the guide has its own layers, or those of its height', () => {
    const layers = [{ x: 1, y: 2, blur: 3, spread: 0, colour: { hex: '#000000' } }]
    expect(layersOf({ light }, { name: 'a', layers })).toBe(layers)
    expect(layersOf({ light }, { name: 'a', height: 16 })).toEqual(shadowLayers(16, light))
  })

  test('on the ground is an ellipse in a strip under the box', () => {
    expect(contactShadow(20, '#0008')).toBe('radial-gradient(50% 100% at 50% 0, #0008, transparent) 0 0 100% / 0 0 20px / 0 0 20px')
  })
})
