import { Plus, Trash2 } from 'lucide-react'
import type { CardLook, Looks, StateColours } from '#core/guide/looks'
import { walkPage } from '#core/site/tree'
import { Button, IconButton } from '../ui/button'
import { ChoiceIn, ColourIn, LengthIn, NumberIn } from './fields'
import { BoxFields, StateFields } from './buttons-part'
import { freeName } from './colour-part'
import { Heading, Part } from './part'
import { useGuide } from './use-guide'

const UNDERLINES = [
  { value: 'always', label: 'Always' },
  { value: 'hover', label: 'On hover' },
  { value: 'never', label: 'Never' },
] as const
const MARKERS = [
  { value: 'dot', label: 'Dots' },
  { value: 'dash', label: 'Dashes' },
  { value: 'tick', label: 'Ticks' },
  { value: 'none', label: 'None' },
] as const

/** A look with one of its states; a state in which nothing differs is left out. */
function withState<S extends string, L extends { [K in S]?: StateColours }>(look: L, state: S, values: StateColours): L {
  const { [state]: _, ...rest } = look
  return (Object.keys(values).length > 0 ? { ...rest, [state]: values } : rest) as unknown as L
}

/** How fields, links, lists, cards and tables look; the specimen page shows them all. */
export function LooksPart({ number }: { number: number }) {
  const { guide, set } = useGuide()
  const { looks } = guide
  const change = (values: { [K in keyof Looks]?: Looks[K] }, gesture?: string) => set('looks', { ...looks, ...values }, gesture)
  const { field, link, list, table } = looks
  return (
    <Part number={number} title="Fields, links, lists, cards, tables" note={`${looks.cards.length} cards`}>
      <Heading>Field</Heading>
      <StateFields
        look={field.rest}
        name="the field"
        onChange={(rest, gesture) => change({ field: { ...field, rest } }, gesture)}
      />
      <div className="mt-1.5 flex flex-wrap gap-2">
        <BoxFields box={field} onChange={(values) => change({ field: { ...field, ...values } })} />
        <NumberIn
          label="Height, least"
          name="Least height of the field"
          width="w-[80px]"

          unit="px"
          value={field.hit}
          least={24}
          most={120}
          onChange={(hit) => change({ field: { ...field, hit } })}
        />
      </div>
      <p className="mb-1 mt-2 text-label text-ink-2">With the focus</p>
      <StateFields
        look={field.focus}
        name="the field with the focus"
        withRing
        onChange={(focus, gesture) => change({ field: { ...field, focus } }, gesture)}
      />
      {(['hover', 'disabled'] as const).map((state) => (
        <div key={state}>
          <p className="mb-1 mt-2 text-label text-ink-2">
            {state === 'hover' ? 'Under the pointer' : 'Where it cannot be filled in'}
          </p>
          <StateFields
            look={field[state] ?? {}}
            name={state === 'hover' ? 'the field under the pointer' : 'the field that cannot be filled in'}
            onChange={(look, gesture) => change({ field: withState(field, state, look) }, gesture)}
          />
        </div>
      ))}

      <Heading>Link</Heading>
      <div className="flex flex-wrap gap-2">
        <ColourIn
          label="Ink"
          name="Ink of links"
          value={link.rest.ink}
          onChange={(ink) => change({ link: { ...link, rest: ink ? { ...link.rest, ink } : {} } })}
        />
        <ColourIn
          label="Ink on hover"
          name="Ink of links on hover"
          value={link.hover.ink}
          onChange={(ink) => change({ link: { ...link, hover: ink ? { ...link.hover, ink } : {} } })}
        />
        {(['pressed', 'current'] as const).map((state) => (
          <ColourIn
            key={state}
            label={state === 'pressed' ? 'Ink pressed' : 'Ink, this page'}
            name={state === 'pressed' ? 'Ink of links while pressed' : 'Ink of links to their own page'}
            value={link[state]?.ink}
            onChange={(ink) => change({ link: withState(link, state, ink ? { ...link[state], ink } : {}) })}
          />
        ))}
        <ChoiceIn
          label="Underline"
          name="Underline of links"
          width="w-[100px]"

          value={link.underline}
          options={UNDERLINES}
          onChange={(underline) => change({ link: { ...link, underline } })}
        />
      </div>

      <Heading>List</Heading>
      <div className="flex flex-wrap gap-2">
        <ChoiceIn
          label="Markers"
          name="Markers of lists"
          width="w-[100px]"

          value={list.marker}
          options={MARKERS}
          onChange={(marker) => change({ list: { ...list, marker } })}
        />
        <ColourIn
          label="Colour of markers"
          name="Colour of markers"
          value={list.ink}
          onChange={(ink) => {
            const { ink: _, ...rest } = list
            change({ list: ink ? { ...rest, ink } : rest })
          }}
        />
        <LengthIn
          label="Between items"
          name="Space between items"
          width="w-[100px]"

          tokens="spaces"
          units={['px', 'rem', 'em']}
          value={list.gap}
          onChange={(gap) => gap && change({ list: { ...list, gap } })}
        />
      </div>

      <Heading>Cards</Heading>
      <Cards cards={looks.cards} onChange={(cards) => change({ cards })} />

      <Heading>Table</Heading>
      <div className="flex flex-wrap gap-2">
        <ColourIn
          label="Lines"
          name="Lines of tables"
          value={table.line}
          onChange={(line) => line && change({ table: { ...table, line } })}
        />
        <NumberIn
          label="Width"
          name="Width of the lines"
          width="w-[70px]"

          unit="px"
          value={table.lineWidth}
          least={0}
          most={12}
          step={0.5}
          onChange={(lineWidth) => change({ table: { ...table, lineWidth } })}
        />
        <LengthIn
          label="Padding of rows"
          width="w-[100px]"

          tokens="spaces"
          units={['px', 'rem', 'em']}
          value={table.padding}
          onChange={(padding) => padding && change({ table: { ...table, padding } })}
        />
        <ColourIn
          label="Every second row"
          name="Fill of every second row"
          value={table.stripe}
          onChange={(stripe) => {
            const { stripe: _, ...rest } = table
            change({ table: stripe ? { ...rest, stripe } : rest })
          }}
        />
      </div>
    </Part>
  )
}

function Cards({ cards, onChange }: { cards: readonly CardLook[]; onChange: (cards: CardLook[]) => void }) {
  const { guide, site } = useGuide()
  const used = (name: string) =>
    site.pages.some((page) => [...walkPage(page)].some((block) => block.kind === 'group' && block.look === name))
  const put = (card: CardLook, values: { [K in keyof CardLook]?: CardLook[K] | undefined }) => {
    const next = Object.fromEntries(Object.entries({ ...card, ...values }).filter(([, value]) => value !== undefined)) as CardLook
    onChange(cards.map((one) => (one === card ? next : one)))
  }
  return (
    <ul className="space-y-2">
      {cards.map((card) => (
        <li key={card.name} className="flex flex-wrap items-end gap-2" data-card={card.name}>
          <span className="w-[60px] self-center truncate">{card.name}</span>
          <ColourIn
            label="Fill"
            name={`Fill of ${card.name}`}
            value={card.fill}
            onChange={(fill) => put(card, { fill: fill ?? undefined })}
          />
          <ColourIn
            label="Ink"
            name={`Ink of ${card.name}`}
            value={card.ink}
            onChange={(ink) => put(card, { ink: ink ?? undefined })}
          />
          <ColourIn
            label="Edge"
            name={`Edge of ${card.name}`}
            value={card.edge}
            onChange={(edge) => put(card, { edge: edge ?? undefined, ...(edge && card.edgeWidth === 0 ? { edgeWidth: 1 } : {}) })}
          />
          {(['fill', 'ink'] as const).map((part) => (
            <ColourIn
              key={part}
              label={part === 'fill' ? 'Fill, hover' : 'Ink, hover'}
              name={`${part === 'fill' ? 'Fill' : 'Ink'} of ${card.name} on hover`}
              value={card.hover?.[part]}
              onChange={(colour) => {
                const { [part]: _, ...rest } = card.hover ?? {}
                const next = colour ? { ...rest, [part]: colour } : rest
                put(card, { hover: Object.keys(next).length > 0 ? next : undefined })
              }}
            />
          ))}
          <LengthIn
            label="Corners"
            name={`Corners of ${card.name}`}
            width="w-[92px]"

            tokens="corners"
            fluid={false}
            units={['px', 'rem']}
            value={card.corner}
            onChange={(corner) => corner && put(card, { corner })}
          />
          <LengthIn
            label="Padding"
            name={`Padding of ${card.name}`}
            width="w-[92px]"

            tokens="spaces"
            units={['px', 'rem']}
            value={card.padding}
            onChange={(padding) => padding && put(card, { padding })}
          />
          <ChoiceIn
            label="Shadow"
            name={`Shadow of ${card.name}`}
            width="w-[96px]"

            value={card.shadow ?? 'none'}
            options={[{ value: 'none', label: 'None' }, ...guide.shadows.map(({ name }) => ({ value: name, label: name }))]}
            onChange={(shadow) => put(card, { shadow: shadow === 'none' ? undefined : shadow })}
          />
          <IconButton
            label={used(card.name) ? `${card.name} is used` : `Take away ${card.name}`}
            disabled={used(card.name)}
            onClick={() => onChange(cards.filter((one) => one !== card))}
          >
            <Trash2 size={14} strokeWidth={1.5} />
          </IconButton>
        </li>
      ))}
      <li>
        <Button
          className="!h-6"
          disabled={cards.length >= 12}
          onClick={() =>
            onChange([
              ...cards,
              {
                name: freeName(
                  'card',
                  cards.map((one) => one.name),
                ),
                fill: { role: 'panel' },
                edgeWidth: 0,
                corner: { token: guide.corners[0]?.name ?? 'corner-1' },
                padding: { token: 'space-5' },
              },
            ])
          }
        >
          <Plus size={13} strokeWidth={1.5} /> Card
        </Button>
      </li>
    </ul>
  )
}
