/** A choice of two or three that are all seen, pressed one at a time. */
export function Segments<V extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string
  value: V
  options: readonly { value: V; label: string }[]
  onChange: (value: V) => void
}) {
  return (
    <span role="group" aria-label={label} className="flex min-w-0 flex-1 gap-1">
      {options.map((one) => (
        <button
          key={one.value}
          type="button"
          aria-pressed={value === one.value}
          className="h-[26px] flex-1 truncate rounded-2 border border-line-strong bg-field px-1 aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-on-ink"
          onClick={() => onChange(one.value)}
        >
          {one.label}
        </button>
      ))}
    </span>
  )
}
