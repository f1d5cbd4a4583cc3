import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

/** Digests of what was made, by its aspect and the name of its document. */
type Kept = Record<string, Record<string, string>>

const FILE = 'core/kept/kept.json'
const TEXTS = 'test-results/kept'

/** What something comes to, as text: JSON with maps and sets as lists, figures to a millionth; where it refuses, its sentence. */
export function textOf(make: () => unknown): string {
  const plain = (_: string, value: unknown) =>
    value instanceof Map || value instanceof Set ? [...value] : typeof value === 'number' ? Number(value.toFixed(6)) : value
  try {
    const made = make()
    return typeof made === 'string' ? made : (JSON.stringify(made, plain, 1) ?? 'nothing')
  } catch (error) {
    return `refused: ${error instanceof Error ? error.message : String(error)}`
  }
}

/**
 * Compares what an aspect of documents comes to with what it came to when it was last kept. What is otherwise is left as
 * text in `test-results/kept`; the same run of an older revision with `YARROWFINCH_KEEP=1` leaves the text
 * to compare it with, and keeps what is there now as what is meant.
 * @returns names of the documents of which it is otherwise
 */
export function otherwise(aspect: string, made: ReadonlyMap<string, string>): string[] {
  const kept: Kept = existsSync(FILE) ? (JSON.parse(readFileSync(FILE, 'utf8')) as Kept) : {}
  const keep = Boolean(process.env.YARROWFINCH_KEEP)
  const now = Object.fromEntries(
    [...made].map(([name, text]) => [name, createHash('sha256').update(text).digest('hex').slice(0, 12)]),
  )
  const names = [...new Set([...made.keys(), ...Object.keys(kept[aspect] ?? {})])].filter(
    (name) => now[name] !== kept[aspect]?.[name],
  )
  for (const name of keep ? made.keys() : names) {
    mkdirSync(join(TEXTS, aspect), { recursive: true })
    writeFileSync(join(TEXTS, aspect, `${name}.txt`), made.get(name) ?? '')
  }
  if (!keep) return names
  const sorted = Object.fromEntries(Object.entries({ ...kept, [aspect]: now }).sort(([a], [b]) => (a < b ? -1 : 1)))
  writeFileSync(FILE, `${JSON.stringify(sorted, null, 2)}\n`)
  return []
}
