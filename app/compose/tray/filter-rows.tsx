import type { Filter } from '#core/style/filters'
import { Row } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'
import { NumberField } from '../../ui/number-field'
import { MIXED } from './fields'

const FILTERS: { name: keyof Filter; label: string; unit: '%' | 'px'; usual: number; most: number }[] = [
  { name: 'brightness', label: 'Brightness', unit: '%', usual: 1, most: 300 },
  { name: 'contrast', label: 'Contrast', unit: '%', usual: 1, most: 300 },
  { name: 'saturation', label: 'Saturation', unit: '%', usual: 1, most: 300 },
  { name: 'greyscale', label: 'Greyscale', unit: '%', usual: 0, most: 100 },
  { name: 'blur', label: 'Blur', unit: 'px', usual: 0, most: 60 },
]

/** The filters of a picture, or of what is behind a box: `what` says whose, for those who hear it. */
export function FilterRows({
  style,
  name,
  title,
  what = '',
}: {
  style: StyleAccess
  name: 'filter' | 'behind'
  title: string
  what?: string
}) {
  const filter = style.get(name)
  const set = ({ name: part, usual }: (typeof FILTERS)[number], value: number | null) => {
    const { [part]: _, ...others } = filter ?? {}
    const next = value === null || value === usual ? others : { ...others, [part]: value }
    style.set({ [name]: Object.keys(next).length === 0 && style.scope === 'base' ? null : next })
  }
  return (
    <details className="group" open={filter !== undefined}>
      <summary className="min-h-6 cursor-pointer text-ink-2 underline">{title}</summary>
      {FILTERS.map((one) => {
        const value = filter?.[one.name]
        const scale = one.unit === '%' ? 100 : 1
        return (
          <Row key={one.name} label={one.label} style={style} names={one.name === 'brightness' ? [name] : []}>
            <NumberField
              className="flex-1"
              label={`${one.label}${what}`}
              unit={one.unit}
              placeholder={style.isMixed(name) ? MIXED : String(one.usual * scale)}
              value={value === undefined ? null : Number((value * scale).toFixed(1))}
              least={0}
              most={one.most}
              step={one.unit === '%' ? 5 : 1}
              onClear={() => set(one, null)}
              onChange={(figure) => set(one, figure / scale)}
            />
          </Row>
        )
      })}
    </details>
  )
}
