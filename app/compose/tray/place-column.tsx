import type { Place } from '#core/site/tree'
import { useFrames } from '../../live/frames'
import { rangeAt } from '#core/grid/columns'
import { placementIn } from '#core/grid/placement'
import { reachOf } from '#core/grid/reach'
import { settingsWithoutEffect } from '#core/analysis/why/without-effect'
import { isContainer } from '#core/blocks/tree'
import { Choice } from '../../ui/choice'
import { NumberField } from '../../ui/number-field'
import { useSessionStore, useSession } from '../../session/context'
import { surroundAt } from '#core/render/surround'
import { edit } from '../../session/store'
import { ChoiceOf, LengthOf, MIXED, NumberOf, ToggleOf } from './fields'
import { TogetherRows } from './together-rows'
import { ListField } from '../../ui/list-field'
import { MOST_ROWS, parseRowSizes, rowSizesText } from '#core/style/row-sizes'
import { EdgesList } from './edges-list'
import { ReachRow } from './reach-row'
import { ReadingOrder } from './reading-order'
import { placeInWords } from './figures'
import { PaddingRows, SpaceRows } from './side-rows'
import { ColumnHead, Finding, Row } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'

const option = <V extends string>(value: V, label: string) => ({ value, label })
const LAYOUTS = [option('column', 'Column'), option('row', 'Row'), option('grid', 'Grid'), option('overlay', 'Overlay')]
const ALONG = [option('start', 'Start'), option('center', 'Centre'), option('end', 'End'), option('space-between', 'Apart')]
const EDGES = [option('start', 'Start'), option('center', 'Centre'), option('end', 'End'), option('stretch', 'Stretch')]
const ACROSS = [...EDGES, option('baseline', 'Baseline'), option('space-between', 'Apart')]
const ROWS = [option('whole', 'As they are'), option('scroll', 'Scroll sideways'), option('stack', 'Stacked, with labels')]
const LAYERS = [
  option('behind', 'Behind the others'),
  option('usual', 'As it stands'),
  option('raised', 'Over the others'),
  option('top', 'Over everything here'),
]
const POSITIONS = [
  option('flow', 'In the flow'),
  option('backdrop', 'Behind all'),
  option('sticky', 'Sticky'),
  option('held', 'Held to edges'),
]

/** How wide what holds a block is inside, in the first view of a range, px of the page; nothing where none shows it. */
function useRoom(place: Place, range: number): number | undefined {
  const frames = useFrames()
  useSession((state) => state.layout)
  const breakpoints = useSession((state) => state.session.site.breakpoints)
  const view = [...frames.values()].find(({ width }) => rangeAt(breakpoints, width) === range)
  const holder = view?.frame.find(place.block.id)?.parentElement
  if (!view || !holder) return undefined
  const style = view.frame.document.defaultView!.getComputedStyle(holder)
  return holder.clientWidth - Number.parseFloat(style.paddingLeft) - Number.parseFloat(style.paddingRight)
}

/** Where the block stands, how large it is, and how it lays out what it holds. */
export function PlaceColumn({ style }: { style: StyleAccess }) {
  const { place } = style
  const store = useSessionStore()
  const site = useSession((state) => state.session.site)
  const room = useRoom(place, style.range)
  const words = useSession((state) => placeInWords(state, place, style.range, room))
  const one = style.places.length === 1
  const idle = one ? settingsWithoutEffect(site, place, style.range) : []
  const breakpoint = site.breakpoints[style.range]!
  const section = style.places.some((each) => each.block.kind === 'section')
  const allIn = (layout: 'grid' | 'row') =>
    style.places.every((each) => each.ancestors.length > 0 && surroundAt(site, each).ranges[style.range]!.layout === layout)
  const inGrid = allIn('grid')
  const inRow = allIn('row')
  return (
    <div>
      <ColumnHead title="Place" note={`${breakpoint.columns} columns, ${breakpoint.gutter} gutter`} />
      {!one && <TogetherRows style={style} />}
      {inGrid && style.get('position') !== 'backdrop' && <ColumnPicker style={style} />}
      <ReachRow style={style} />
      {style.places.every((each) => isContainer(each.block) && each.block.kind !== 'slideshow') && <LayoutRows style={style} />}
      <SpaceRows style={style} />
      {one && <Finding well>{words}</Finding>}
      {one && place.ancestors.length > 0 && <EdgesList place={place} range={style.range} />}
      {one && <ReadingOrder place={place} style={style} />}
      {idle.map(({ property, sentence, repair }) => (
        <Finding key={property} well={false}>
          {sentence}{' '}
          <button type="button" className="min-h-6 underline" onClick={() => edit(store, repair.edit)}>
            {repair.label}
          </button>
        </Finding>
      ))}
      <div className="mt-2 border-t border-line pt-1">
        {!section && <PositionRows style={style} />}
        <PaddingRows style={style} />
        {!section && (
          <Row label="Width" style={style} names={['width', 'maxWidth']}>
            <LengthOf style={style} name="width" placeholder="Auto" />
            <LengthOf style={style} name="maxWidth" placeholder="At most" units={['px', '%', 'rem', 'ch', 'columns']} />
          </Row>
        )}
        {!section && inRow && (
          <Row label="Rest" style={style} names={['grow']}>
            <ToggleOf style={style} name="grow">
              Takes the rest of the row
            </ToggleOf>
          </Row>
        )}
        {style.has('rows') && (
          <Row label="Rows" style={style} names={['rows']}>
            <ChoiceOf style={style} name="rows" options={ROWS} fallback="whole" />
          </Row>
        )}
        {style.has('shown') && <ShownRow style={style} />}
        {style.has('clips') && (
          <Row label="Sides" style={style} names={['clips']}>
            <ToggleOf style={style} name="clips">
              Cut off what goes past them
            </ToggleOf>
          </Row>
        )}
        <Row label="Height" style={style} names={['height', 'minHeight']}>
          <LengthOf style={style} name="height" placeholder="Auto" />
          <LengthOf style={style} name="minHeight" placeholder="At least" />
        </Row>
      </div>
    </div>
  )
}

/** The columns of the grid, to press: from the first to the last that the block takes. */
function ColumnPicker({ style }: { style: StyleAccess }) {
  const site = useSession((state) => state.session.site)
  const at = surroundAt(site, style.place).ranges[style.range]!
  const { columns } = at
  const reach = at.inSection ? reachOf(style.get('reach')) : undefined
  const placement = placementIn(columns, style.get('span'), style.get('start'), reach)
  const first = placement.start ?? 1
  const mixed = style.isMixed('span', 'start')
  const set = (column: number, extend: boolean) => {
    if (extend && column >= first) style.set({ span: column - first + 1 })
    else style.set({ start: column, span: Math.min(placement.span, columns - column + 1) })
  }
  return (
    <>
      <Row label="Columns" style={style} names={['span', 'start']}>
        <span className="flex h-[26px] flex-1 gap-px" role="group" aria-label="Columns taken">
          {Array.from({ length: columns }, (_, i) => {
            const taken = !mixed && i + 1 >= first && i + 1 < first + placement.span
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
          placeholder={MIXED}
          value={style.isMixed('span') ? null : placement.span}
          least={1}
          most={columns}
          whole
          onClear={() => style.set({ span: null })}
          onChange={(span) => style.set({ span })}
        />
        <NumberOf style={style} name="start" prefix="from" placeholder="auto" least={1} most={columns} whole />
      </Row>
      {style.has('rowSpan') && (
        <Row label="Rows" style={style} names={['rowSpan', 'rowStart']}>
          <NumberOf style={style} name="rowSpan" unit="rows" placeholder="1" least={1} most={MOST_ROWS} whole />
          <NumberOf style={style} name="rowStart" prefix="from" placeholder="auto" least={1} most={MOST_ROWS} whole />
        </Row>
      )}
    </>
  )
}

function LayoutRows({ style }: { style: StyleAccess }) {
  const { kind } = style.place.block
  const section = style.places.some((each) => each.block.kind === 'section')
  const layout = section ? 'grid' : (style.get('layout') ?? (kind === 'nav' ? 'row' : 'column'))
  return (
    <>
      {!section && (
        <Row label="Layout" style={style} names={['layout', 'tracks', 'wrap']}>
          <ChoiceOf style={style} name="layout" options={LAYOUTS} fallback={layout} />
          {layout === 'grid' && <NumberOf style={style} name="tracks" unit="cols" placeholder="page’s" least={1} most={12} whole />}
          {layout === 'row' && (
            <ToggleOf style={style} name="wrap">
              Wraps
            </ToggleOf>
          )}
        </Row>
      )}
      {!section && style.has('itemWidth') && <Presets style={style} />}
      {!section && style.has('itemWidth') && (layout === 'grid' || style.get('scrolls')) && (
        <Row label="Items" style={style} names={['itemWidth']}>
          <LengthOf style={style} name="itemWidth" placeholder="At least" fluid={false} units={['px', 'rem', 'ch', '%']} />
        </Row>
      )}
      {layout === 'grid' && style.has('rowSizes') && <RowSizesRow style={style} />}
      <Row label="Gaps" style={style} names={['gap', 'rowGap']}>
        {layout !== 'column' && !section && <LengthOf style={style} name="gap" placeholder="Across" tokens="spaces" />}
        <LengthOf style={style} name="rowGap" placeholder="Down" tokens="spaces" />
      </Row>
      <Row label="Align" style={style} names={['justify', 'align']}>
        <ChoiceOf style={style} name="justify" placeholder="Along" options={ALONG} />
        <ChoiceOf style={style} name="align" placeholder="Across" options={ACROSS} />
      </Row>
    </>
  )
}

/** The heights of the rows of a grid, typed as a list. */
function RowSizesRow({ style }: { style: StyleAccess }) {
  return (
    <Row label="Heights" style={style} names={['rowSizes']}>
      <ListField
        label="Heights of rows"
        takes="1 to 12 rows: 200 px, 1 fr, 40 vh or content, with commas between them"
        placeholder={style.isMixed('rowSizes') ? MIXED : 'As their content'}
        text={rowSizesText(style.get('rowSizes') ?? [])}
        onChange={(text) => {
          const rowSizes = text === '' ? null : parseRowSizes(text)
          if (rowSizes !== undefined) style.set({ rowSizes })
          return rowSizes !== undefined
        }}
      />
    </Row>
  )
}

/** Whether the block is shown at the widths that are edited, and what it means where it is not. */
function ShownRow({ style }: { style: StyleAccess }) {
  const { breakpoints } = useSession((state) => state.session.site)
  const hidden = style.get('shown') === false
  const below = breakpoints[style.range]!.below
  return (
    <>
      <Row label="Shown" style={style} names={['shown']}>
        <span className="flex flex-1" role="group" aria-label="Shown at these widths">
          {[true, false].map((shown) => (
            <button
              key={String(shown)}
              type="button"
              aria-pressed={!style.isMixed('shown') && hidden !== shown}
              className="h-[26px] flex-1 border border-line-strong bg-field first:rounded-l-2 last:rounded-r-2 aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-on-ink"
              onClick={() => style.set({ shown: shown ? (style.scope === 'base' ? null : true) : false })}
            >
              {shown ? 'Shown' : 'Left out'}
            </button>
          ))}
        </span>
      </Row>
      {hidden && (
        <Finding well={false}>
          Left out {below === null ? 'at all widths' : `below ${below}`}: screen readers do not read it there, and search engines,
          which read the narrow page, may not count its words. It is loaded all the same.
        </Finding>
      )}
    </>
  )
}

type Values = Parameters<StyleAccess['set']>[0]
type Preset = { value: string; label: string; note: string; set: Values }

const OWN_WIDTH = { value: 240, unit: 'px' } as const
const preset = (value: string, label: string, note: string, set: Values): Preset => ({
  value,
  label,
  note,
  set: { tracks: null, wrap: null, scrolls: null, itemWidth: null, ...set },
})

/** Ways in which a group lays out what it holds, for the widths that are edited. */
const PRESETS: Preset[] = [
  preset('stacked', 'Stacked', 'below each other', { layout: 'column' }),
  preset('wrapped', 'Wrapped', 'in rows, as many as have room', { layout: 'row', wrap: true }),
  preset('scrolled', 'Scrolled', 'in one row that scrolls', { layout: 'row', scrolls: true, itemWidth: OWN_WIDTH }),
  preset('two', 'Two by two', 'in two columns', { layout: 'grid', tracks: 2 }),
  preset('itself', 'By itself', 'columns of a least width', { layout: 'grid', itemWidth: OWN_WIDTH }),
]

/** The way that the group's values come to, if it is one of them. */
function presetOf({ get }: StyleAccess): string | null {
  const layout = get('layout') ?? 'column'
  if (layout === 'row') return get('scrolls') ? 'scrolled' : get('wrap') ? 'wrapped' : null
  if (layout === 'grid') return get('itemWidth') ? 'itself' : get('tracks') === 2 ? 'two' : null
  return layout === 'column' ? 'stacked' : null
}

function Presets({ style }: { style: StyleAccess }) {
  const { gutter } = useSession((state) => state.session.site.breakpoints[style.range]!)
  const air = { value: gutter, unit: 'px' } as const
  const choose = (value: string) => {
    const { set } = PRESETS.find((one) => one.value === value)!
    // What stands beside each other would touch without a gap; rows of a grid follow its columns, and wrapped ones do not.
    const across: Values = value === 'stacked' || style.get('gap') ? {} : { gap: air }
    const down: Values = set.layout !== 'row' || style.get('rowGap') ? {} : { rowGap: style.get('gap') ?? air }
    style.set({ ...set, ...across, ...down })
  }
  return (
    <Row label="As">
      <Choice
        className="flex-1"
        label="Way to lay out"
        placeholder="Own"
        value={presetOf(style)}
        options={PRESETS}
        onChange={choose}
      />
    </Row>
  )
}

const EDGE = { fluid: false, units: ['px', '%', 'rem'] } as const

function PositionRows({ style }: { style: StyleAccess }) {
  const position = style.get('position') ?? 'flow'
  return (
    <>
      <Row label="Stands" style={style} names={['position']}>
        <ChoiceOf style={style} name="position" options={POSITIONS} fallback="flow" />
        <NumberOf style={style} name="order" className="w-[74px]" prefix="order" placeholder="0" whole least={-20} most={20} />
      </Row>
      {(position === 'sticky' || position === 'held') && (
        <Row label="From edge" style={style} names={['top', 'bottom']}>
          <LengthOf style={style} name="top" placeholder="Top" {...EDGE} />
          {position === 'held' && <LengthOf style={style} name="bottom" placeholder="Bottom" {...EDGE} />}
        </Row>
      )}
      {position === 'held' && (
        <Row label="" style={style} names={['left', 'right']}>
          <LengthOf style={style} name="left" placeholder="Left" {...EDGE} />
          <LengthOf style={style} name="right" placeholder="Right" {...EDGE} />
        </Row>
      )}
      {position !== 'backdrop' && style.has('layer') && (
        <Row label="Layer" style={style} names={['layer']}>
          <ChoiceOf style={style} name="layer" placeholder="As it stands" options={LAYERS} />
        </Row>
      )}
      {position !== 'backdrop' && (
        <Row label="In its place" style={style} names={['selfJustify', 'selfAlign']}>
          <ChoiceOf style={style} name="selfJustify" placeholder="Across" options={EDGES} />
          <ChoiceOf style={style} name="selfAlign" placeholder="Down" options={EDGES} />
        </Row>
      )}
    </>
  )
}
