type PointerTabProps = {
  x: number
  y: number
  /** Width of what it is drawn over: beyond its middle the tab stands at the other side of the pointer. */
  within?: number
  figure?: boolean
  children: string
}

/** What a drag comes to, in a tab at the pointer; px of what it is drawn over. */
export function PointerTab({ x, y, within, figure = false, children }: PointerTabProps) {
  const side = within !== undefined && x > within / 2 ? { right: Math.max(0, within - x + 12) } : { left: x + 12 }
  return (
    <div
      className={`pointer-events-none absolute z-20 bg-ink px-1.5 py-0.5 text-on-ink ${within === undefined ? 'whitespace-nowrap' : 'w-max max-w-[60%]'} ${figure ? 'figure' : 'text-label'}`}
      style={{ ...side, top: y + 12 }}
    >
      {children}
    </div>
  )
}
