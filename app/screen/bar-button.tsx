import { IconButton } from '../ui/button'

/** An icon button on the ink of the top bar. */
export function BarButton({ pressed, ...rest }: React.ComponentProps<typeof IconButton>) {
  return (
    <IconButton
      {...rest}
      {...(pressed === undefined ? {} : { 'aria-pressed': pressed })}
      className={`!text-on-ink-2 hover:!bg-ink-2/50 ${pressed ? '!bg-ink-2 !text-yarrow' : ''}`}
    />
  )
}
