import type { Watched } from '#core/render/watch-script'
import { Choice } from '../ui/choice'

/** What a page is played for: as visitors usually get it, or as some do. */
export const HOWS = {
  usual: { label: 'As it is', note: '', query: '?watched' },
  calm: { label: 'Reduced motion', note: 'for who asks for it', query: '?watched&engine=calm' },
  plain: { label: 'Older engine', note: 'no scroll timelines', query: '?watched&engine=plain' },
  scriptless: { label: 'No script', note: 'CSS alone', query: '?scriptless' },
} as const
export type How = keyof typeof HOWS

const RATES = [1, 0.5, 0.25, 0.1]

type MotionSwitchesProps = {
  how: How
  rate: number
  onHow: (how: How) => void
  onRate: (rate: number) => void
  watched: Watched | null
}

/** For whom the page is played, how fast its time passes, and how its scroll went. */
export function MotionSwitches({ how, rate, onHow, onRate, watched }: MotionSwitchesProps) {
  return (
    <>
      <span className="ml-2 text-ink-2">Motion</span>
      <Choice
        className="w-36"
        label="Motion: what the page is played for"
        value={how}
        options={(Object.keys(HOWS) as How[]).map((value) => ({ value, label: HOWS[value].label, note: HOWS[value].note }))}
        onChange={onHow}
      />
      <Choice
        className="figure w-24"
        label="Speed of what plays by itself"
        value={String(rate)}
        options={RATES.map((one) => ({ value: String(one), label: `${one * 100} %` }))}
        onChange={(next) => onRate(Number(next))}
      />
      <span role="status" className="figure whitespace-nowrap text-label text-ink-2" data-watched>
        {how === 'scriptless'
          ? 'Nothing is measured without a script'
          : watched
            ? `${Math.round(watched.scroll)} px · ${watched.late} of ${watched.frames} frames late`
            : ''}
      </span>
    </>
  )
}
