import type { ButtonHTMLAttributes, Ref } from 'react'

type ButtonProps = ButtonHTMLAttributes<HTMLButtonElement> & {
  look?: 'quiet' | 'primary' | 'danger'
  ref?: Ref<HTMLButtonElement>
}

const LOOKS = {
  quiet: 'border border-line-strong bg-field text-ink hover:border-ink disabled:text-muted disabled:hover:border-line-strong',
  primary: 'bg-yarrow font-semibold text-ink hover:bg-wash disabled:opacity-50',
  danger: 'border border-rust bg-field text-rust hover:bg-rust-wash',
}

/** The look of a button, for links that are shown as one. */
export const buttonClass = (look: keyof typeof LOOKS = 'quiet') =>
  `inline-flex h-[30px] shrink-0 items-center justify-center gap-1.5 rounded-2 px-3 text-ui whitespace-nowrap ${LOOKS[look]}`

export function Button({ look = 'quiet', className = '', ...rest }: ButtonProps) {
  return <button type="button" className={`${buttonClass(look)} ${className}`} {...rest} />
}

type IconButtonProps = ButtonHTMLAttributes<HTMLButtonElement> & {
  label: string
  pressed?: boolean
  ref?: Ref<HTMLButtonElement>
}

/** A button that shows an icon; its name is read aloud and shown on hover. */
export function IconButton({ label, pressed, className = '', ...rest }: IconButtonProps) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      aria-pressed={pressed}
      className={`inline-flex h-7 w-7 shrink-0 items-center justify-center rounded-2 hover:bg-line/60 disabled:opacity-40 ${pressed ? 'bg-ink text-on-ink hover:bg-ink' : 'text-ink-2'} ${className}`}
      {...rest}
    />
  )
}
