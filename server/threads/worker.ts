import type { MessagePort } from 'node:worker_threads'
import { FormatError } from '#core/formats/site-json'
import { type JobName, JOBS } from './jobs'

/** What comes back from a thread: errors that are the caller's come as their sentence, since classes do not travel. */
export type Answer = { made: unknown } | { problem: string }

/** Does one job, and says on a port that it has begun. */
export default async function work({ job, given, begun }: { job: JobName; given: unknown; begun: MessagePort }): Promise<Answer> {
  begun.postMessage('begun')
  try {
    return { made: await (JOBS[job] as (given: unknown) => unknown)(given) }
  } catch (error) {
    if (error instanceof FormatError) return { problem: error.message }
    // What is nested without end exhausts the stack of a reader that goes down by itself.
    if (error instanceof RangeError) return { problem: 'The file is nested too deep to be read.' }
    throw error
  }
}
