import { ICON_SIZES } from '#core/blocks/icon'
import type { BlockOf } from '#core/blocks/index'
import { IconFinder } from '../../fields/icon-finder'
import { ColumnHead, Row } from '../../fields/row'
import { useSessionStore } from '../../session/context'
import { edit } from '../../session/store'
import { NumberField } from '../../ui/number-field'

/** The icon, the box that it stands in, and whether it stands in its middle by what is seen of it. */
export function IconColumn({ block }: { block: BlockOf<'icon'> }) {
  const store = useSessionStore()
  const set = (field: 'size' | 'centred' | 'icon', value: unknown) =>
    edit(store, { kind: 'field', block: block.id, field, value: value as never })
  return (
    <div>
      <ColumnHead title="Icon" note={block.icon.name} />
      <Row label="Size">
        <NumberField
          className="w-[70px]"
          label="Size of the icon"
          unit="px"
          value={block.size}
          least={8}
          most={200}
          onChange={(size) => set('size', size)}
        />
        <span role="group" aria-label="Usual sizes" className="flex min-w-0 flex-1">
          {ICON_SIZES.slice(0, 5).map((size) => (
            <button
              key={size}
              type="button"
              aria-pressed={block.size === size}
              className="figure h-[26px] min-w-0 flex-1 border border-line-strong border-r-0 bg-field last:border-r aria-pressed:bg-ink aria-pressed:text-on-ink"
              onClick={() => set('size', size)}
            >
              {size}
            </button>
          ))}
        </span>
      </Row>
      <Row label="Centred">
        {[false, true].map((centred) => (
          <button
            key={String(centred)}
            type="button"
            aria-pressed={(block.centred === true) === centred}
            title={centred ? 'By the middle of what is seen of it' : 'By the middle of its field, as it is drawn'}
            className="h-[26px] min-w-0 flex-1 truncate rounded-2 border border-line-strong bg-field aria-pressed:bg-ink aria-pressed:text-on-ink"
            onClick={() => set('centred', centred || null)}
          >
            {centred ? 'As seen' : 'As drawn'}
          </button>
        ))}
      </Row>
      <IconFinder chosen={block.icon.name} onChoose={(icon) => set('icon', icon)} />
    </div>
  )
}
