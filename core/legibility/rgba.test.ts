import { expect, test } from 'vitest'
import { orderedTones, readRgba, rgbaOf } from './rgba'

test('computed colours are read, with their opacity', () => {
  expect(readRgba('rgb(12, 34, 56)')).toEqual({ r: 12, g: 34, b: 56, a: 1 })
  expect(readRgba('rgba(12, 34, 56, 0.5)')).toEqual({ r: 12, g: 34, b: 56, a: 0.5 })
  expect(readRgba('color(display-p3 1 0 0)')).toBeUndefined()
  expect(readRgba('color(srgb 1 0.5 0 / 0.25)')).toEqual({ r: 255, g: 127.5, b: 0, a: 0.25 })
  expect(rgbaOf('#1f6b5c', 0.5)).toEqual({ r: 31, g: 107, b: 92, a: 0.5 })
})

test('the tones of a duotone are told by what they are, whatever they are called', () => {
  const night = rgbaOf('#101830')
  const pale = rgbaOf('#f0e8d8', 0.9)
  expect(orderedTones({ dark: night, light: pale })).toEqual({ dark: night, light: pale })
  expect(orderedTones({ dark: pale, light: night })).toEqual({ dark: { ...night, a: 0.9 }, light: { ...pale, a: 1 } })
  expect(orderedTones({ dark: rgbaOf('#1020a0'), light: rgbaOf('#f0e050') }).light).toEqual(rgbaOf('#f0e0a0'))
})
