import { once } from 'node:events'
import { Worker } from 'node:worker_threads'
import { expect, test } from 'vitest'
import { docxOf } from '../../torture/files'
import { inThread, LIMITS } from './pool'

test('a job gives what it makes, and its sentence where it refuses', async () => {
  expect(await inThread('a', 'docx', { bytes: docxOf(2), name: 'a.docx' })).toBe('Bring a coat.\n\nBring a coat.\n')
  await expect(inThread('a', 'clean-svg', '<p>')).rejects.toThrow(/no svg element/)
})

test('a thread that wants more memory than there is is ended, and only it', async () => {
  const thread = new Worker('const all = []; for (;;) all.push(new Array(5000).fill(all.length + 0.5))', {
    eval: true,
    resourceLimits: LIMITS,
  })
  const [error] = (await once(thread, 'error')) as [{ code: string }]
  expect(error.code).toBe('ERR_WORKER_OUT_OF_MEMORY')
  expect(LIMITS.maxOldGenerationSizeMb).toBe(512)
}, 60_000)

test('a job that takes too long is ended with a sentence, and our own work does not wait for it', async () => {
  let over = false
  // Both threads have begun: starting one takes seconds where much else is run.
  await Promise.all([
    inThread('a', 'docx', { bytes: docxOf(1), name: 'a.docx' }),
    inThread('b', 'zip', { 'a.txt': new Uint8Array(4) }),
  ])
  const long = inThread('a', 'docx', { bytes: docxOf(160_000), name: 'a.docx' }, { ms: 1500, sentence: 'Too long.' }).finally(
    () => (over = true),
  )
  const refused = expect(long).rejects.toThrow('Too long.')
  await inThread('b', 'zip', { 'a.txt': new Uint8Array(4) })
  expect(over).toBe(false)
  await refused
  expect(await inThread('a', 'docx', { bytes: docxOf(1), name: 'a.docx' })).toBe('Bring a coat.\n')
})
