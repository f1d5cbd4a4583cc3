import { viewportHeightFor } from '#core/grid/viewport-height'

/**
 * Says how high the window of a page is, and changes it: the height that every view, check and mockup of this width is
 * laid out for, or as high as there is room on the screen.
 */
export function WindowHeight({ width, free, onFree }: { width: number; free: boolean; onFree: (free: boolean) => void }) {
  const height = viewportHeightFor(width)
  return (
    <span role="group" aria-label="Height of the window" className="flex shrink-0 gap-1">
      {[
        { is: false, label: `${height} px high`, title: `A window of ${height} px, as in Compose, Check and mockups` },
        { is: true, label: 'As high as here', title: 'A window as high as there is room on this screen' },
      ].map(({ is, label, title }) => (
        <button
          key={label}
          type="button"
          title={title}
          aria-pressed={free === is}
          className="h-[26px] rounded-2 border border-line-strong bg-field px-2 hover:border-ink aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-on-ink"
          onClick={() => onFree(is)}
        >
          {label}
        </button>
      ))}
    </span>
  )
}
