/**
 * A queue of work for several who ask: so many things are done at once, and everybody who waits is served in turn, so
 * that one who asks for a hundred keeps nobody waiting for more than one.
 * @param atOnce how many things are done at the same time, at least 1
 */
export function fairQueue(atOnce: number): <T>(owner: unknown, work: () => Promise<T>) => Promise<T> {
  // A map keeps the order in which its keys were put in: whoever was served goes to the end.
  const waiting = new Map<unknown, (() => void)[]>()
  let running = 0

  const begin = () => {
    const [first] = waiting
    if (running >= atOnce || !first) return
    const [owner, works] = first
    waiting.delete(owner)
    const work = works.shift()!
    if (works.length > 0) waiting.set(owner, works)
    running++
    work()
  }

  return (owner, work) =>
    new Promise((resolve, reject) => {
      const works = waiting.get(owner) ?? []
      works.push(() => {
        work()
          .then(resolve, reject)
          .finally(() => {
            running--
            begin()
          })
      })
      waiting.set(owner, works)
      begin()
    })
}
