/** What a drag comes to, in a tab at the pointer; px of what it is drawn over. */
export function PointerTab({ x, y, figure = false, children }: { x: number; y: number; figure?: boolean; children: string }) {
  return (
    <div
      className={`pointer-events-none absolute z-20 whitespace-nowrap bg-ink px-1.5 py-0.5 text-on-ink ${figure ? 'figure' : 'text-label'}`}
      style={{ left: x + 12, top: y + 12 }}
    >
      {children}
    </div>
  )
}
