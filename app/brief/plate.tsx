import type { ReactNode } from 'react'

/** A numbered part of a sheet, under a hairline. */
export function Plate({ number, title, children }: { number: number; title: string; children: ReactNode }) {
  return (
    <section className="mt-4 border-t border-line-strong pt-2.5 print:mt-2 print:pt-1.5">
      <h2 className="mb-2 flex items-baseline gap-2 font-semibold">
        <span className="figure font-normal text-ink-2">{String(number).padStart(2, '0')}</span>
        {title}
      </h2>
      {children}
    </section>
  )
}
