import { Square, SquareDashed } from 'lucide-react'
import { LengthField } from '../../fields/length-field'
import { Row } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'
import { useSession, useSessionStore } from '../../session/context'
import { LengthOf, MIXED } from './fields'

/** Paddings: of the ends and of the sides together, or each by itself. */
export function PaddingRows({ style }: { style: StyleAccess }) {
  const each = useEachSide(style)
  if (!each)
    return (
      <Row label="Padding" style={style} names={['paddingTop', 'paddingBottom', 'paddingSides']}>
        <LengthField
          label="Padding top and bottom"
          least={0}
          placeholder={style.isMixed('paddingTop') ? MIXED : 'Ends'}
          tokens="spaces"
          value={style.get('paddingTop')}
          onChange={(value) => style.set({ paddingTop: value, paddingBottom: value })}
        />
        {style.has('paddingSides') && <LengthOf style={style} name="paddingSides" placeholder="Sides" tokens="spaces" />}
        <EachSide />
      </Row>
    )
  return (
    <>
      <Row label="Padding" style={style} names={['paddingTop', 'paddingBottom']}>
        <LengthOf style={style} name="paddingTop" placeholder="Top" tokens="spaces" />
        <LengthOf style={style} name="paddingBottom" placeholder="Bottom" tokens="spaces" />
        <EachSide />
      </Row>
      {style.has('paddingStart') && (
        <Row label="" style={style} names={['paddingStart', 'paddingEnd', 'paddingSides']}>
          <LengthOf style={style} name="paddingStart" fallback={style.get('paddingSides')} placeholder="Left" tokens="spaces" />
          <LengthOf style={style} name="paddingEnd" fallback={style.get('paddingSides')} placeholder="Right" tokens="spaces" />
        </Row>
      )}
    </>
  )
}

/** Space around a block: before and after it, and beside it where each side is shown. */
export function SpaceRows({ style }: { style: StyleAccess }) {
  const each = useEachSide(style)
  return (
    <>
      <Row label="Space" style={style} names={['spaceBefore', 'spaceAfter']}>
        <LengthOf style={style} name="spaceBefore" placeholder="Before" tokens="spaces" />
        <LengthOf style={style} name="spaceAfter" placeholder="After" tokens="spaces" />
      </Row>
      {each && style.has('spaceStart') && (
        <Row label="" style={style} names={['spaceStart', 'spaceEnd']}>
          <LengthOf style={style} name="spaceStart" placeholder="Left" tokens="spaces" />
          <LengthOf style={style} name="spaceEnd" placeholder="Right" tokens="spaces" />
        </Row>
      )}
    </>
  )
}

/** True where each side has a field: it was asked for, or sides that go together differ. */
function useEachSide(style: StyleAccess): boolean {
  const asked = useSession((state) => state.eachSide)
  const set = (['paddingStart', 'paddingEnd', 'spaceStart', 'spaceEnd'] as const).some((name) => style.get(name) !== undefined)
  return asked || set || JSON.stringify(style.get('paddingTop')) !== JSON.stringify(style.get('paddingBottom'))
}

function EachSide() {
  const store = useSessionStore()
  const asked = useSession((state) => state.eachSide)
  const Icon = asked ? Square : SquareDashed
  return (
    <button
      type="button"
      aria-label="A field for each side"
      title="A field for each side"
      aria-pressed={asked}
      className="grid w-6 shrink-0 place-items-center rounded-2 text-ink-2 hover:bg-ground"
      onClick={() => store.setState({ eachSide: !asked })}
    >
      <Icon size={13} aria-hidden />
    </button>
  )
}
