import fc from 'fast-check'
import { expect, test } from 'vitest'
import { freshMemory } from '#core/reconcile/sense'
import { demoSite } from '#core/edits/edits.fixture'
import { createSessionStore, undo } from '../session/store'
import { applyDeck, changeBetween, changesBetween, deckText, outlineOf, readText, sameDeck } from './deck-sync'

const site = demoSite()

test('the change between two texts makes one out of the other, and is as small as can be', () => {
  fc.assert(
    fc.property(fc.string(), fc.string(), (a, b) => {
      const { from, to, insert } = changeBetween(a, b)
      expect(a.slice(0, from) + insert + a.slice(to)).toBe(b)
    }),
  )
  fc.assert(
    fc.property(fc.array(fc.string({ maxLength: 4 })), fc.array(fc.string({ maxLength: 4 })), (a, b) => {
      let text = a.join('\n')
      for (const { from, to, insert } of changesBetween(a.join('\n'), b.join('\n')).reverse())
        text = text.slice(0, from) + insert + text.slice(to)
      expect(text).toBe(b.join('\n'))
    }),
  )
  expect(changeBetween('Bring a coat.', 'Bring two coats.')).toEqual({ from: 6, to: 12, insert: 'two coats' })
})

test('blank lines are not the sense of a deck; words and headings are', () => {
  const text = deckText(site, 'en')
  expect(sameDeck(text, text.replaceAll('\n\n', '\n\n\n'), site)).toBe(true)
  expect(sameDeck(text, text.replace('coat', 'hat'), site)).toBe(false)
  expect(outlineOf(readText(site, text))).not.toBe(outlineOf(readText(site, text.replace('## Plan', '# Plan'))))
  expect(outlineOf(readText(site, text))).toBe(outlineOf(readText(site, text.replace('coat', 'hat'))))
})

test('what is typed in one go is one step of undo', () => {
  const store = createSessionStore('s', site.pages[0]!.id, site, 0)
  const text = deckText(site, 'en')
  let memory = freshMemory(site)
  for (const word of ['hat', 'hats', 'hats!']) {
    const deck = readText(store.getState().session.site, text.replace('Bring a coat', `Bring a ${word}`))
    memory = applyDeck(store, deck, 'en', memory, 'words', { gesture: 'typing-1' })
  }
  expect(deckText(store.getState().session.site, 'en')).toContain('Bring a hats!')
  expect(store.getState().undo).toHaveLength(1)
  undo(store)
  expect(store.getState().session.site).toEqual(site)
})
