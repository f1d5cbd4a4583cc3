import { STATE_NAMES } from '#core/style/states'
import type { Block } from '#core/blocks/index'
import { isState, type Scope } from '#core/style/registry'
import { isSame } from '#core/values/equal'
import { useSession, useSessionStore } from '../../session/context'

const inWords = (n: number) => (n === 0 ? 'none' : n === 1 ? '1 exception' : `${n} exceptions`)

/** The widths that settings are for: all, or one range, with how many exceptions blocks have there. */
export function WidthsToEdit({ blocks }: { blocks: readonly Block[] }) {
  const store = useSessionStore()
  const scope = useSession((state) => state.scope)
  const breakpoints = useSession((state) => state.session.site.breakpoints)
  const sum = (of: (block: Block) => object | undefined) => blocks.reduce((all, one) => all + Object.keys(of(one) ?? {}).length, 0)
  const item = (key: string, value: Scope, label: string, note: string) => {
    const active = isSame(scope, value)
    return (
      <button
        key={key}
        type="button"
        aria-pressed={active}
        className={`flex h-[28px] w-full items-center justify-between rounded-2 border px-2.5 ${active ? 'border-ink bg-ink text-on-ink' : 'border-line-strong bg-field hover:border-ink'}`}
        onClick={() => store.setState({ scope: value })}
      >
        {label} <span className="figure">{note}</span>
      </button>
    )
  }
  return (
    <div className="flex flex-col gap-1" role="group" aria-label="Widths to edit">
      {item('base', 'base', 'All widths', 'base')}
      {breakpoints.map(
        ({ id, below }) =>
          below !== null && item(id, { below: id }, `Below ${below}`, inWords(sum((one) => one.style.below?.[id]))),
      )}
      {blocks.some((one) => one.style.below) && (
        <button
          type="button"
          className="min-h-6 text-left text-label text-ink-2 underline decoration-line-strong hover:decoration-ink"
          onClick={() => store.setState({ exceptionsOpen: true })}
        >
          Table of exceptions
        </button>
      )}
      {isState(scope) && item(scope, scope, STATE_NAMES[scope], `${sum((one) => one.style[scope])} set`)}
    </div>
  )
}
