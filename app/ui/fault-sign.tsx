/** A rust triangle, before the sentence that says what is wrong. */
export const FaultSign = ({ className = '' }: { className?: string }) => (
  <svg aria-hidden width="10" height="10" viewBox="0 0 10 10" className={className}>
    <path d="M5 0l5 9H0z" fill="#A8401F" />
  </svg>
)

/** A short sand bar, before what is only worth a look. */
export const EyeSign = ({ className = '' }: { className?: string }) => (
  <span aria-hidden className={`h-1 w-2.5 bg-[#C9B98A] ${className}`} />
)
