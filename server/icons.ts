import { readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { type Icon, iconSchema } from '#core/values/icon'
import { boundsOf } from './icon-bounds'

const folder = resolve('node_modules', 'lucide-static')
const read = <T>(name: string): T => JSON.parse(readFileSync(resolve(folder, name), 'utf8')) as T

let all: { icon: Icon; words: string }[] | undefined

function icons() {
  all ??= (() => {
    const nodes = read<Record<string, unknown>>('icon-nodes.json')
    const tags = read<Record<string, string[]>>('tags.json')
    return Object.entries(nodes).flatMap(([name, shapes]) => {
      const parsed = iconSchema.safeParse({ name, nodes: shapes })
      return parsed.success ? [{ icon: parsed.data, words: [name, ...(tags[name] ?? [])].join(' ') }] : []
    })
  })()
  return all
}

const MOST = 90

const bounds = new Map<string, NonNullable<Icon['bounds']>>()

/** An icon with what is seen of it, worked out when it is first found. */
function withBounds(icon: Icon): Icon {
  let known = bounds.get(icon.name)
  if (!known) bounds.set(icon.name, (known = boundsOf(icon.nodes)))
  return { ...icon, bounds: known }
}

/** Icons of the open Lucide set for a search text, those whose name begins with it first; 90 at most. */
export function findIcons(query: string): Icon[] {
  const wanted = query.trim().toLowerCase()
  const found = icons().filter((one) => one.words.includes(wanted))
  const rank = ({ icon }: { icon: Icon }) => (icon.name.startsWith(wanted) ? 0 : icon.name.includes(wanted) ? 1 : 2)
  return found
    .sort((a, b) => rank(a) - rank(b) || a.icon.name.localeCompare(b.icon.name))
    .slice(0, MOST)
    .map((one) => withBounds(one.icon))
}
