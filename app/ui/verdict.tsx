import { TriangleAlert } from 'lucide-react'

type VerdictProps = { ok: boolean; children: string; onShow?: (() => void) | undefined }

/** A finding in one sentence: a reed dot where all is well, a rust triangle where it is not. */
export function VerdictLine({ ok, children, onShow }: VerdictProps) {
  return (
    <p className={`flex items-baseline gap-1.5 text-label ${ok ? 'text-reed' : 'text-rust'}`} data-verdict={ok ? 'kept' : 'broken'}>
      {ok ? (
        <span aria-hidden className="h-2 w-2 shrink-0 rounded-full bg-reed" />
      ) : (
        <TriangleAlert aria-hidden size={12} strokeWidth={1.75} className="shrink-0 translate-y-[2px]" />
      )}
      <span className="sr-only">{ok ? 'Kept: ' : 'Not kept: '}</span>
      {onShow ? (
        <button type="button" className="min-h-6 text-left underline decoration-dotted underline-offset-2" onClick={onShow}>
          {children}
        </button>
      ) : (
        <span>{children}</span>
      )}
    </p>
  )
}
