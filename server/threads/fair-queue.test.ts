import { expect, test } from 'vitest'
import { fairQueue } from './fair-queue'

/** Work that is done when it is let go. */
function held() {
  const done: (() => void)[] = []
  const order: string[] = []
  const work = (name: string) => () =>
    new Promise<string>((resolve) => {
      order.push(name)
      done.push(() => resolve(name))
    })
  return { work, order, letGo: async () => (done.shift()!(), await new Promise((resolve) => setImmediate(resolve))) }
}

test('whoever asks for one thing waits for no more than one of a hundred', async () => {
  const { work, order, letGo } = held()
  const queue = fairQueue(1)
  const all = Array.from({ length: 4 }, (_, i) => queue('export', work(`export ${i}`)))
  const one = queue('page', work('page'))
  for (let i = 0; i < 5; i++) await letGo()
  expect(order).toEqual(['export 0', 'export 1', 'page', 'export 2', 'export 3'])
  expect(await one).toBe('page')
  expect(await Promise.all(all)).toEqual(['export 0', 'export 1', 'export 2', 'export 3'])
})

test('no more is done at once than may be, and a failure stops nobody', async () => {
  const { work, order, letGo } = held()
  const queue = fairQueue(2)
  const failed = queue('a', () => Promise.reject(new Error('no')))
  const first = queue('a', work('1'))
  const others = [queue('b', work('2')), queue('b', work('3'))]
  await expect(failed).rejects.toThrow('no')
  expect(order).toEqual(['1', '2'])
  for (let i = 0; i < 3; i++) await letGo()
  expect(await Promise.all([first, ...others])).toEqual(['1', '2', '3'])
})
