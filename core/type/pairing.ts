import { type Family, measuresOf } from './families'
import { MOODS } from './moods'

/** A text face for a heading face: how well they go together, 0 to 100, and why, in sentences with figures. */
export type Pairing = { family: Family; score: number; reasons: string[] }

const percent = (value: number) => `${Math.round(value * 100)}%`
const CLASSES = { serif: 'serif', sans: 'sans', slab: 'slab', mono: 'monospaced', display: 'display' } as const

type Judged = { points: number; reason?: string }

/** Classes that differ tell heading and text apart at any size; one family in two weights does so as well. */
function byClass(heading: Family, text: Family): Judged {
  if (heading.id === text.id) return { points: 18, reason: 'One family for both: weight and size alone make the difference.' }
  if (heading.class === text.class)
    return { points: 4, reason: `Both are ${CLASSES[text.class]}, so they may look like a mistake beside each other.` }
  return {
    points: 30,
    reason: `${CLASSES[text.class][0]!.toUpperCase()}${CLASSES[text.class].slice(1)} against ${CLASSES[heading.class]}: told apart at a glance.`,
  }
}

/** Faces whose small letters are of one height look of one size. */
function byHeight(heading: Family, text: Family): Judged {
  const [a, b] = [measuresOf(heading).xHeight, measuresOf(text).xHeight]
  const apart = Math.abs(a - b)
  return {
    points: Math.max(0, 20 - apart * 250),
    ...(apart < 0.025
      ? { reason: `The small letters are of one height, ${percent(b)} of the size.` }
      : { reason: `The small letters are ${percent(b)} of the size against ${percent(a)}.` }),
  }
}

/** Running text wants letters that are neither narrow nor wide, and small letters that are not small. */
function byReading(text: Family): Judged {
  const { xHeight, averageAdvance } = measuresOf(text)
  const even = Math.max(0, 14 - Math.abs(averageAdvance - 0.46) * 220)
  const tall = Math.max(0, Math.min(10, (xHeight - 0.4) * 100))
  const aFace = text.class === 'mono' || text.class === 'display' ? -24 : 0
  return {
    points: even + tall + aFace,
    reason:
      aFace < 0
        ? `A ${CLASSES[text.class]} face tires in running text.`
        : `A line of 30 times its size holds ${Math.round(30 / averageAdvance)} characters.`,
  }
}

/** A text face needs an upright weight of about 400 and a bold one to go with it. */
function byWeights(text: Family): Judged {
  const [low, high] = text.weights
  if (low > 420) return { points: -20, reason: `Its lightest weight is ${low}: heavy for text.` }
  const slope = text.italic ? 4 : 0
  return { points: (high >= 700 ? 6 : 2) + slope, ...(text.italic ? {} : { reason: 'It has no italic.' }) }
}

function byMood(heading: Family, text: Family): Judged {
  const common = (MOODS[heading.id] ?? []).filter((one) => (MOODS[text.id] ?? []).includes(one))
  return common.length === 0
    ? { points: 0 }
    : { points: 8 * Math.min(2, common.length), reason: `Both are ${common.join(' and ')}.` }
}

/** Text faces for a heading face, the best first. */
export function pairingsFor(heading: Family, families: readonly Family[]): Pairing[] {
  return families
    .map((text): Pairing => {
      const judged = [byClass(heading, text), byHeight(heading, text), byMood(heading, text), byReading(text), byWeights(text)]
      const points = judged.reduce((sum, one) => sum + one.points, 0)
      return {
        family: text,
        score: Math.round(Math.min(100, Math.max(0, points))),
        reasons: judged.flatMap((one) => (one.reason ? [one.reason] : [])),
      }
    })
    .sort((a, b) => b.score - a.score || a.family.name.localeCompare(b.family.name))
}
