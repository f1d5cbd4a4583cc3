const SHOWN: Record<string, string> = { ArrowUp: '↑', ArrowDown: '↓', ArrowLeft: '←', ArrowRight: '→' }

/** The keys of a command, each as it stands on a keyboard. */
export function Keys({ of }: { of: string }) {
  return (
    <span className="flex shrink-0 gap-1">
      {of.split(' ').map((key) => (
        <kbd key={key} className="figure rounded-2 border border-line-strong bg-field px-1.5">
          {SHOWN[key] ?? key}
        </kbd>
      ))}
    </span>
  )
}
