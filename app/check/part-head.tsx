import type { ReactNode } from 'react'

/** The head of a part of Check: its number and title, and what it came to at the right. */
export const PartHead = ({ id, number, title, children }: { id: string; number: number; title: string; children: ReactNode }) => (
  <header className="mb-2 flex items-baseline gap-3">
    <span className="figure text-muted">{number}</span>
    <h2 id={id} className="text-[14px] font-semibold">
      {title}
    </h2>
    {children}
  </header>
)
