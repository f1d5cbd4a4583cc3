import type { Command } from '../../session/command'

const plain = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()

type Name = { text: string; words: string[] }
const nameOf = (text: string): Name => ({ text: plain(text), words: plain(text).split(' ') })

const known = new WeakMap<Command, { name: Name; also: Name[] }>()

function namesOf(command: Command): { name: Name; also: Name[] } {
  let names = known.get(command)
  if (!names) known.set(command, (names = { name: nameOf(command.name), also: (command.also ?? '').split(',').map(nameOf) }))
  return names
}

/** True if each word of a query begins another word of a name. */
function beginsWords(query: readonly string[], { words }: Name): boolean {
  const left = [...words]
  return query.every((wanted) => {
    const at = left.findIndex((word) => word.startsWith(wanted))
    if (at >= 0) left.splice(at, 1)
    return at >= 0
  })
}

/** How well a command answers a query, 0 for best; `undefined` where it does not. */
function rank(command: Command, query: string, words: readonly string[]): number | undefined {
  const { name, also } = namesOf(command)
  const after = command.ofPage ? 10 : 0
  if (name.text === query) return after
  if (also.some((one) => one.text === query)) return after + 1
  if (name.text.startsWith(query)) return after + 2
  if (also.some((one) => one.text.startsWith(query))) return after + 3
  if (beginsWords(words, name)) return after + 4
  if (also.some((one) => beginsWords(words, one))) return after + 5
  return undefined
}

/**
 * Commands that a query finds, the best first: by beginnings of words of their names and other names, whole names before
 * their parts, and what is named by words of the page last. All, in their order, for an empty one.
 */
export function findCommands(commands: readonly Command[], query: string): Command[] {
  const wanted = plain(query)
  if (wanted === '') return [...commands]
  const words = wanted.split(' ')
  const found = commands.flatMap((command, at) => {
    const how = rank(command, wanted, words)
    return how === undefined ? [] : [{ command, how, at }]
  })
  return found.sort((a, b) => a.how - b.how || a.at - b.at).map((one) => one.command)
}
