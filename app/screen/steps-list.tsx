import { History } from 'lucide-react'
import { Popover } from 'radix-ui'
import { useState } from 'react'
import { useSession, useSessionStore } from '../session/context'
import { goToStep, type Step } from '../session/store'
import { BarButton } from './bar-button'

const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' })
const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' })

/** When a step was done: the time, and the day where that is not today. */
function whenOf(at: number): string {
  const then = new Date(at)
  const today = then.toDateString() === new Date().toDateString()
  return today ? clock.format(then) : `${day.format(then)}, ${clock.format(then)}`
}

/** What was done on the site, the newest step first, and a way back to any. */
export function StepsList() {
  const [open, setOpen] = useState(false)
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <BarButton label="What was done">
          <History size={16} strokeWidth={1.5} />
        </BarButton>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={8}
          aria-label="What was done"
          className="z-50 flex max-h-[70vh] w-80 flex-col overflow-y-auto rounded-2 border border-line-strong bg-field p-1 text-ink shadow-float"
        >
          <Steps />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}

function Steps() {
  const store = useSessionStore()
  const done = useSession((state) => state.undo)
  const again = useSession((state) => state.redo)
  // Redone first is what was taken back last.
  const all = [...done, ...again.toReversed()]
  if (all.length === 0) return <p className="px-2 py-1 text-ink-2">Nothing was done in this browser yet.</p>
  return (
    <ol aria-label="Steps" className="flex flex-col">
      {all.toReversed().map((step, i) => {
        const number = all.length - i
        return (
          <Row
            key={number}
            step={step}
            now={number === done.length}
            undone={number > done.length}
            onGo={() => goToStep(store, number)}
          />
        )
      })}
      <li>
        <button
          type="button"
          aria-current={done.length === 0 ? 'step' : undefined}
          className="flex w-full rounded-2 px-2 py-1 text-left text-ink-2 hover:bg-ground aria-[current]:font-semibold aria-[current]:text-ink"
          onClick={() => goToStep(store, 0)}
        >
          Before all of these
        </button>
      </li>
    </ol>
  )
}

type RowProps = { step: Step; now: boolean; undone: boolean; onGo: () => void }

/** One step: pressed, the site is as it was once that was done. */
function Row({ step, now, undone, onGo }: RowProps) {
  return (
    <li>
      <button
        type="button"
        aria-current={now ? 'step' : undefined}
        title={undone ? 'Taken back: press to do it again' : 'Go back to here'}
        className={`flex w-full items-baseline gap-2 rounded-2 px-2 py-1 text-left hover:bg-ground aria-[current]:bg-wash aria-[current]:font-semibold ${undone ? 'text-muted' : ''}`}
        onClick={onGo}
      >
        <span className="min-w-0 flex-1">
          <span className="block first-letter:uppercase">{step.label}</span>
          {step.on !== '' && <span className="block truncate text-label font-normal text-ink-2">{step.on}</span>}
        </span>
        <span className="figure shrink-0 font-normal text-label text-ink-2">{whenOf(step.at)}</span>
      </button>
    </li>
  )
}
