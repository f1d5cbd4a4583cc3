import type { ReactNode } from 'react'

/** A numbered part of the guide: its name, what it comes to in words and figures, and what sets it. */
export function Part({ number, title, note, children }: { number: number; title: string; note?: ReactNode; children: ReactNode }) {
  const id = `part-${title.toLowerCase().replace(/[^a-z]+/g, '-')}`
  return (
    <section
      id={id}
      aria-labelledby={`${id}-title`}
      className="scroll-mt-2 border-b border-line-strong px-5 py-4 [contain-intrinsic-size:auto_500px] [content-visibility:auto]"
    >
      <header className="mb-2.5 flex items-baseline gap-3">
        <span className="figure text-muted">{number}</span>
        <h2 id={`${id}-title`} className="text-[14px] font-semibold">
          {title}
        </h2>
        <span className="ml-auto text-right text-label text-ink-2">{note}</span>
      </header>
      {children}
    </section>
  )
}

/** A label above what it names. */
export function Named({ label, children, className = '' }: { label: string; children: ReactNode; className?: string }) {
  return (
    <div className={`flex min-w-0 flex-col gap-0.5 ${className}`}>
      <span className="truncate text-label text-ink-2">{label}</span>
      <div className="flex min-w-0 gap-1">{children}</div>
    </div>
  )
}

/** A small heading inside a part. */
export const Heading = ({ children }: { children: ReactNode }) => (
  <h3 className="mb-1.5 mt-4 text-label font-semibold">{children}</h3>
)

type ToggleProps = { label: string; pressed: boolean; onPress: () => void; children?: ReactNode }

/** One of several that are chosen by pressing. */
export function Toggle({ label, pressed, onPress, children }: ToggleProps) {
  return (
    <button
      type="button"
      aria-pressed={pressed}
      className={`h-[26px] whitespace-nowrap rounded-2 px-2 ${pressed ? 'bg-ink text-on-ink' : 'text-ink-2 hover:bg-line/60'}`}
      onClick={onPress}
    >
      {children ?? label}
    </button>
  )
}
