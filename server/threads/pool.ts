import { availableParallelism } from 'node:os'
import { resolve } from 'node:path'
import { MessageChannel } from 'node:worker_threads'
import { pathToFileURL } from 'node:url'
import { Piscina } from 'piscina'
import { FormatError } from '#core/formats/site-json'
import { fairQueue } from './fair-queue'
import type { Given, JobName, Made } from './jobs'
import type { Answer } from './worker'

/** Most memory that a thread may take for its values and its stack, MB; one that wants more is ended, and only it. */
export const LIMITS = { maxOldGenerationSizeMb: 512, stackSizeMb: 4 }
/** How long a job may take, ms, when nothing else is said. */
const PATIENCE = 20_000

/** How long a thread that has nothing to do is kept, ms. */
export const IDLE = 30_000

const AT_ONCE = Math.max(1, availableParallelism() - 1)

/** What a thread runs: in the built application what was built beside it; else what is built of the sources now. */
const worker = async (): Promise<string> =>
  import.meta.env?.PROD ? resolve('build', 'server', 'threads', 'worker.js') : (await import('./build')).builtThreads()

let pool: Promise<Piscina> | undefined

const open = async (): Promise<Piscina> =>
  new Piscina({
    filename: pathToFileURL(await worker()).href,
    minThreads: 0,
    maxThreads: 4 * AT_ONCE,
    idleTimeout: IDLE,
    resourceLimits: LIMITS,
    recordTiming: false,
  })

/** The threads, begun when the first job comes; those that have nothing to do end after a while. */
const threads = (): Promise<Piscina> =>
  (pool ??= open().catch((error: unknown) => {
    // Sources that cannot be built now may be mended by the next job.
    pool = undefined
    throw error
  }))

/** Jobs that read what others made, and may take as long as they are let. What is our own does not wait for them. */
const FOREIGN: ReadonlySet<JobName> = new Set([
  'read-site',
  'clean-svg',
  'read-shape',
  'read-icon',
  'docx',
  'read-font',
  'read-film',
])
/** Jobs that look words up, which takes seconds for many that no dictionary has. */
const WORDS: ReadonlySet<JobName> = new Set(['spell', 'hyphens'])
/** Sites that are read ahead, which whoever opens them waits for. */
const READING: ReadonlySet<JobName> = new Set(['check-document'])
const queues = [FOREIGN, WORDS, READING].map((jobs) => ({ jobs, queue: fairQueue(AT_ONCE) }))
const own = fairQueue(AT_ONCE)
const queueOf = (job: JobName) => queues.find(({ jobs }) => jobs.has(job))?.queue ?? own

/**
 * Does a job in another thread, so that nobody else waits for it.
 * @param owner who asks: whoever waits is served in turn
 * @param most how long it may take, ms; and what is said when it takes longer, or more memory than there is
 * @throws FormatError with the job's own sentence, or with `most.sentence`
 */
export async function inThread<J extends JobName>(
  owner: unknown,
  job: J,
  given: Given<J>,
  most: { ms?: number; sentence?: string } = {},
): Promise<Made<J>> {
  const { ms = PATIENCE, sentence = 'This takes more time or memory than there is for it.' } = most
  const answer = await queueOf(job)(owner, async (): Promise<Answer> => {
    // Time counts from when the job is begun: a thread that has to be started first may take seconds on a busy machine.
    const over = new AbortController()
    const { port1: begun, port2 } = new MessageChannel()
    let timer: NodeJS.Timeout | undefined
    begun.once('message', () => (timer = setTimeout(() => over.abort(), ms)))
    try {
      return (await (await threads()).run({ job, given, begun: port2 }, { signal: over.signal, transferList: [port2] })) as Answer
    } catch (error) {
      const { name, code } = error as { name?: string; code?: string }
      if (name === 'AbortError' || code === 'ERR_WORKER_OUT_OF_MEMORY') throw new FormatError(sentence)
      throw error
    } finally {
      clearTimeout(timer)
      begun.close()
    }
  })
  if ('problem' in answer) throw new FormatError(answer.problem)
  return answer.made as Made<J>
}
