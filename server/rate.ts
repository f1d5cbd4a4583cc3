/** When each of those who ask has asked of late, ms since the epoch. */
type Asked = Map<string, number[]>

/** How many who ask are remembered; the one that asked longest ago is forgotten first. */
const MOST_KNOWN = 10_000

/**
 * A limit of how often somebody may ask.
 * @param most how often in `ms` milliseconds
 * @returns a function that is told who asks and when, and says whether that is not too often; one that is refused does not count
 */
export function rateLimit(most: number, ms: number): (who: string, now: number) => boolean {
  const asked: Asked = new Map()
  return (who, now) => {
    // A clock that was put back leaves times to come, which would never be over.
    const recent = (asked.get(who) ?? []).filter((time) => time > now - ms && time <= now)
    asked.delete(who)
    const may = recent.length < most
    asked.set(who, may ? [...recent, now] : recent)
    if (asked.size > MOST_KNOWN) asked.delete(asked.keys().next().value!)
    return may
  }
}
