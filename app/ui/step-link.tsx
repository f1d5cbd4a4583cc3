import { Popover } from 'radix-ui'
import { useState } from 'react'
import { Link, useLocation } from 'react-router'
import type { Condition, Step } from './steps'

/** What completes a step, each thing with whether it is there. */
function Conditions({ name, complete, conditions }: Step) {
  return (
    <>
      <p className="font-semibold">{complete ? `${name} is complete` : `${name} is complete when`}</p>
      <ul className="mt-1.5 space-y-1">
        {conditions.map(({ what, met }) => (
          <li key={what} className="grid grid-cols-[16px_1fr] items-baseline text-label">
            <svg aria-hidden width="9" height="9" viewBox="0 0 10 10">
              {met ? <circle cx="5" cy="5" r="4.500" fill="#1F6B5C" /> : <path d="M5 0l5 9H0z" fill="#A8401F" />}
            </svg>
            <span className={met ? 'text-ink-2' : 'text-rust'}>
              {what}
              <span className="sr-only">{met ? ', done' : ', not yet'}</span>
            </span>
          </li>
        ))}
      </ul>
    </>
  )
}

const inWords = (conditions: readonly Condition[]): string =>
  conditions.map(({ what, met }) => `${met ? '●' : '▲'} ${what}`).join('\n')

/** A step of the path: leads to its screen; on its own screen a press shows what completes it. */
export function StepLink({ step }: { step: Step }) {
  const [open, setOpen] = useState(false)
  const here = useLocation().pathname === step.to
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Anchor asChild>
        <Link
          to={step.to}
          title={`${step.complete ? 'Complete' : 'Complete when'}\n${inWords(step.conditions)}`}
          onClick={(event) => {
            if (!here) return
            event.preventDefault()
            setOpen((now) => !now)
          }}
          aria-current={here ? 'page' : undefined}
          className={`flex items-center gap-2 border-r border-ink-2/40 px-3 max-xl:gap-1.5 max-xl:px-2 ${here ? 'bg-ground font-semibold text-ink' : 'text-on-ink-2 hover:text-on-ink'}`}
        >
          <span
            aria-hidden
            className={`h-2 w-2 shrink-0 rounded-full border ${step.complete ? 'border-yarrow bg-yarrow' : 'border-current'}`}
          />
          {step.name}
          <span className="sr-only">{step.complete ? ', complete' : ''}</span>
        </Link>
      </Popover.Anchor>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={4}
          aria-label={`What completes ${step.name}`}
          className="z-50 w-72 rounded-2 border border-line-strong bg-field p-3 text-ink shadow-float"
        >
          <Conditions {...step} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
