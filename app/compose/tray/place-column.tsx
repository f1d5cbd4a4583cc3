import { placementIn } from '#core/grid/placement'
import { idleSettings } from '#core/style/idle'
import { isContainer } from '#core/site/tree'
import type { Length } from '#core/style/values'
import { Choice } from '../../ui/choice'
import { NumberField } from '../../ui/number-field'
import { useCompose, useComposeState } from '../context'
import { surroundAt } from '../edge-drag'
import { edit } from '../store'
import { LengthField } from './length-field'
import { placeInWords } from './figures'
import { ColumnHead, Finding, Row } from './row'
import type { StyleAccess } from './use-style'

const option = <V extends string>(value: V, label: string) => ({ value, label })
const LAYOUTS = [option('column', 'Column'), option('row', 'Row'), option('grid', 'Grid'), option('overlay', 'Overlay')]
const ALONG = [option('start', 'Start'), option('center', 'Centre'), option('end', 'End'), option('space-between', 'Apart')]
const ACROSS = [
  option('start', 'Start'),
  option('center', 'Centre'),
  option('end', 'End'),
  option('stretch', 'Stretch'),
  option('baseline', 'Baseline'),
  option('space-between', 'Apart'),
]
const EDGES = [option('start', 'Start'), option('center', 'Centre'), option('end', 'End'), option('stretch', 'Stretch')]
const POSITIONS = [
  option('flow', 'In the flow'),
  option('backdrop', 'Behind all'),
  option('sticky', 'Sticky'),
  option('held', 'Held to edges'),
]

/** Where the block stands, how large it is, and how it lays out what it holds. */
export function PlaceColumn({ style }: { style: StyleAccess }) {
  const { place } = style
  const store = useCompose()
  const site = useComposeState((state) => state.session.site)
  const words = useComposeState((state) => placeInWords(state, place, style.range))
  const idle = idleSettings(site, place, style.range)
  const breakpoint = site.breakpoints[style.range]!
  const section = place.block.kind === 'section'
  const inGrid = place.ancestors.length > 0 && surroundAt(site, place).ranges[style.range]!.layout === 'grid'
  const position = style.get('position') ?? 'flow'
  return (
    <div>
      <ColumnHead title="Place" note={`${breakpoint.columns} columns, ${breakpoint.gutter} gutter`} />
      {inGrid && position !== 'backdrop' && <ColumnPicker style={style} />}
      {isContainer(place.block) && <LayoutRows style={style} />}
      <Row label="Space" style={style} names={['spaceBefore', 'spaceAfter']}>
        <LengthField
          label="Space before"
          placeholder="Before"
          tokens="spaces"
          value={style.get('spaceBefore')}
          onChange={(spaceBefore) => style.set({ spaceBefore })}
        />
        <LengthField
          label="Space after"
          placeholder="After"
          tokens="spaces"
          value={style.get('spaceAfter')}
          onChange={(spaceAfter) => style.set({ spaceAfter })}
        />
      </Row>
      <Finding well>{words}</Finding>
      {idle.map(({ property, why, repair }) => (
        <Finding key={property} well={false}>
          {why}{' '}
          <button type="button" className="underline" onClick={() => edit(store, repair.edit)}>
            {repair.label}
          </button>
        </Finding>
      ))}
      <div className="mt-2 border-t border-line pt-1">
        {!section && <PositionRows style={style} />}
        <Row label="Padding" style={style} names={['paddingTop', 'paddingBottom', 'paddingSides']}>
          <LengthField
            label="Padding top and bottom"
            placeholder="Ends"
            tokens="spaces"
            value={style.get('paddingTop')}
            onChange={(value) => style.set({ paddingTop: value, paddingBottom: value })}
          />
          {style.has('paddingSides') && (
            <LengthField
              label="Padding sides"
              placeholder="Sides"
              tokens="spaces"
              value={style.get('paddingSides')}
              onChange={(paddingSides) => style.set({ paddingSides })}
            />
          )}
        </Row>
        {section && <Height style={style} />}
        {!section && <Sizes style={style} />}
      </div>
    </div>
  )
}

/** The columns of the grid, to press: from the first to the last that the block takes. */
function ColumnPicker({ style }: { style: StyleAccess }) {
  const site = useComposeState((state) => state.session.site)
  const { columns } = surroundAt(site, style.place).ranges[style.range]!
  const start = style.get('start')
  const placement = placementIn(columns, style.get('span'), start)
  const first = placement.start ?? 1
  const set = (column: number, extend: boolean) => {
    if (extend && column >= first) style.set({ span: column - first + 1 })
    else style.set({ start: column, span: Math.min(placement.span, columns - column + 1) })
  }
  return (
    <>
      <Row label="Columns" style={style} names={['span', 'start']}>
        <span className="flex h-[26px] flex-1 gap-px" role="group" aria-label="Columns taken">
          {Array.from({ length: columns }, (_, i) => {
            const taken = i + 1 >= first && i + 1 < first + placement.span
            return (
              <button
                key={i}
                type="button"
                aria-label={`To column ${i + 1}`}
                title={`To column ${i + 1}. With Shift: from column ${i + 1}.`}
                aria-pressed={taken}
                className={`min-w-0 flex-1 border ${taken ? 'border-ink bg-ink' : 'border-line-strong bg-field hover:border-ink'}`}
                onClick={(event) => set(i + 1, !event.shiftKey)}
              />
            )
          })}
        </span>
      </Row>
      <Row label="Spans" style={style} names={['span', 'start']}>
        <NumberField
          className="flex-1"
          label="Columns spanned"
          unit={`of ${columns}`}
          value={placement.span}
          least={1}
          most={columns}
          whole
          onClear={() => style.set({ span: null })}
          onChange={(span) => style.set({ span })}
        />
        <NumberField
          className="flex-1"
          label="From column"
          prefix="from"
          placeholder="auto"
          value={start ?? null}
          least={1}
          most={columns}
          whole
          onClear={() => style.set({ start: null })}
          onChange={(value) => style.set({ start: value })}
        />
      </Row>
    </>
  )
}

function LayoutRows({ style }: { style: StyleAccess }) {
  const section = style.place.block.kind === 'section'
  const layout = section ? 'grid' : (style.get('layout') ?? (style.place.block.kind === 'nav' ? 'row' : 'column'))
  return (
    <>
      {!section && (
        <Row label="Layout" style={style} names={['layout', 'tracks']}>
          <Choice
            className="flex-1"
            label="Layout"
            value={layout}
            options={LAYOUTS}
            onChange={(value) => style.set({ layout: value })}
          />
          {layout === 'grid' && (
            <NumberField
              className="flex-1"
              label="Own columns"
              unit="cols"
              placeholder="page’s"
              value={style.get('tracks') ?? null}
              least={1}
              most={12}
              whole
              onClear={() => style.set({ tracks: null })}
              onChange={(tracks) => style.set({ tracks })}
            />
          )}
          {layout === 'row' && (
            <button
              type="button"
              aria-pressed={style.get('wrap') ?? false}
              className="h-[26px] flex-1 rounded-2 border border-line-strong bg-field aria-pressed:bg-ink aria-pressed:text-on-ink"
              onClick={() => style.set({ wrap: !(style.get('wrap') ?? false) })}
            >
              Wraps
            </button>
          )}
        </Row>
      )}
      <Row label="Gaps" style={style} names={['gap', 'rowGap']}>
        {layout !== 'column' && !section && (
          <LengthField
            label="Gap across"
            placeholder="Across"
            tokens="spaces"
            value={style.get('gap')}
            onChange={(gap) => style.set({ gap })}
          />
        )}
        <LengthField
          label="Gap down"
          placeholder="Down"
          tokens="spaces"
          value={style.get('rowGap')}
          onChange={(rowGap) => style.set({ rowGap })}
        />
      </Row>
      <Row label="Align" style={style} names={['justify', 'align']}>
        <Choice
          className="flex-1"
          label="Along"
          placeholder="Along"
          value={style.get('justify') ?? null}
          options={ALONG}
          onChange={(justify) => style.set({ justify })}
        />
        <Choice
          className="flex-1"
          label="Across"
          placeholder="Across"
          value={style.get('align') ?? null}
          options={ACROSS}
          onChange={(align) => style.set({ align })}
        />
      </Row>
    </>
  )
}

function PositionRows({ style }: { style: StyleAccess }) {
  const position = style.get('position') ?? 'flow'
  const edge = (name: 'top' | 'right' | 'bottom' | 'left', label: string) => (
    <LengthField
      label={`From ${name}`}
      placeholder={label}
      fluid={false}
      units={['px', '%', 'rem']}
      value={style.get(name)}
      onChange={(value: Length | null) => style.set({ [name]: value })}
    />
  )
  return (
    <>
      <Row label="Stands" style={style} names={['position']}>
        <Choice
          className="flex-1"
          label="Stands"
          value={position}
          options={POSITIONS}
          onChange={(value) => style.set({ position: value })}
        />
        <NumberField
          className="w-[74px]"
          label="Order"
          prefix="order"
          placeholder="0"
          value={style.get('order') ?? null}
          whole
          least={-20}
          most={20}
          onClear={() => style.set({ order: null })}
          onChange={(order) => style.set({ order })}
        />
      </Row>
      {position === 'sticky' && (
        <Row label="Edge" style={style} names={['top']}>
          {edge('top', 'Top')}
        </Row>
      )}
      {position === 'held' && (
        <>
          <Row label="From edge" style={style} names={['top', 'bottom']}>
            {edge('top', 'Top')}
            {edge('bottom', 'Bottom')}
          </Row>
          <Row label="" style={style} names={['left', 'right']}>
            {edge('left', 'Left')}
            {edge('right', 'Right')}
          </Row>
        </>
      )}
      {position !== 'backdrop' && (
        <Row label="In its place" style={style} names={['selfJustify', 'selfAlign']}>
          <Choice
            className="flex-1"
            label="In its place, across"
            placeholder="Across"
            value={style.get('selfJustify') ?? null}
            options={EDGES}
            onChange={(selfJustify) => style.set({ selfJustify })}
          />
          <Choice
            className="flex-1"
            label="In its place, down"
            placeholder="Down"
            value={style.get('selfAlign') ?? null}
            options={EDGES}
            onChange={(selfAlign) => style.set({ selfAlign })}
          />
        </Row>
      )}
    </>
  )
}

function Height({ style }: { style: StyleAccess }) {
  return (
    <Row label="Height" style={style} names={['minHeight']}>
      <LengthField
        label="Height, least"
        placeholder="At least"
        value={style.get('minHeight')}
        onChange={(minHeight) => style.set({ minHeight })}
      />
    </Row>
  )
}

function Sizes({ style }: { style: StyleAccess }) {
  return (
    <>
      <Row label="Width" style={style} names={['width', 'maxWidth']}>
        <LengthField label="Width" placeholder="Auto" value={style.get('width')} onChange={(width) => style.set({ width })} />
        <LengthField
          label="At most"
          placeholder="At most"
          units={['px', '%', 'rem', 'ch', 'columns']}
          value={style.get('maxWidth')}
          onChange={(maxWidth) => style.set({ maxWidth })}
        />
      </Row>
      <Row label="Height" style={style} names={['height', 'minHeight']}>
        <LengthField label="Height" placeholder="Auto" value={style.get('height')} onChange={(height) => style.set({ height })} />
        <LengthField
          label="Height, least"
          placeholder="At least"
          value={style.get('minHeight')}
          onChange={(minHeight) => style.set({ minHeight })}
        />
      </Row>
    </>
  )
}
