import { Plus, X } from 'lucide-react'
import type { StyleGuide } from '#core/guide/style-guide'
import type { PropertyValue } from '#core/style/registry'
import { layersOfShadow, MOST_SHADOWS, type Shadow } from '#core/values/colour'
import { ColourField } from '../../fields/colour-field'
import { Row } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'
import { useSession } from '../../session/context'
import { Choice } from '../../ui/choice'
import { ListField } from '../../ui/list-field'
import { NumberField } from '../../ui/number-field'
import { MIXED } from './fields'

type Layer = ReturnType<typeof layersOfShadow>[number]
type WordsShadow = PropertyValue<'textShadow'>

/** Shadows of the box, of the words in it, and under it on the ground. */
export function ShadowRows({ style }: { style: StyleAccess }) {
  return (
    <>
      {style.has('shadow') && <BoxShadow style={style} />}
      {style.has('textShadow') && <TextShadow style={style} />}
      {style.has('contact') && <Contact style={style} />}
    </>
  )
}

/** A first shadow, in the colour of the guide's own: on a dark guide the ink is pale, and would glow. */
const firstIn = ({ light }: StyleGuide): Layer => ({ x: 0, y: 8, blur: 24, spread: -4, colour: { role: light.role, alpha: 0.3 } })

function BoxShadow({ style }: { style: StyleAccess }) {
  const guide = useSession((state) => state.session.site.guide)
  const { shadows } = guide
  const shadow = style.get('shadow') as Shadow | undefined
  const own = layersOfShadow(shadow)
  const set = (layers: Layer[], gesture?: string) => style.set({ shadow: layers.length > 0 ? { layers } : null }, gesture)
  const change = (at: number, next: Layer, gesture?: string) =>
    set(
      own.map((one, i) => (i === at ? next : one)),
      gesture,
    )
  return (
    <>
      <Row label="Shadow" style={style} names={['shadow']}>
        <Choice
          className="flex-1"
          label="Shadow"
          placeholder={style.isMixed('shadow') ? MIXED : 'None'}
          value={shadow && 'token' in shadow ? shadow.token : shadow ? 'own' : null}
          options={[
            { value: 'none', label: 'None' },
            ...shadows.map((one) => ({ value: one.name, label: one.name })),
            { value: 'own', label: 'Its own' },
          ]}
          onChange={(name) =>
            style.set({
              shadow:
                name === 'own'
                  ? { layers: own.length > 0 ? own : [firstIn(guide)] }
                  : name === 'none' && style.scope === 'base'
                    ? null
                    : { token: name },
            })
          }
        />
        {own.length > 0 && own.length < MOST_SHADOWS && <More label="Add a shadow" onPress={() => set([...own, firstIn(guide)])} />}
      </Row>
      {own.map((layer, at) => (
        <div key={at} className="my-0.5 rounded-2 border border-line-strong bg-field px-1.5 py-0.5">
          <Row label={layer.inset ? 'Inwards' : 'Outwards'}>
            <ListField
              label={`Shadow ${at + 1}`}
              placeholder="0 8 24 0"
              takes="four figures in px: across, down, blur, spread"
              text={[layer.x, layer.y, layer.blur, layer.spread].join(' ')}
              onChange={(text) => {
                const figures = figuresOf(text, 4)
                if (figures && figures[2]! >= 0)
                  change(at, { ...layer, x: figures[0]!, y: figures[1]!, blur: figures[2]!, spread: figures[3]! })
                return figures !== undefined && figures[2]! >= 0
              }}
            />
            <Less label={`Take out shadow ${at + 1}`} onPress={() => set(own.filter((_, i) => i !== at))} />
          </Row>
          <Row label="">
            <button
              type="button"
              aria-pressed={layer.inset === true}
              className="h-[26px] w-[66px] rounded-2 border border-line-strong aria-pressed:bg-ink aria-pressed:text-on-ink"
              onClick={() => {
                const { inset, ...rest } = layer
                change(at, inset ? rest : { ...rest, inset: true })
              }}
            >
              Inner
            </button>
            <ColourField
              label={`Colour of shadow ${at + 1}`}
              value={layer.colour}
              onChange={(colour, gesture) => colour && change(at, { ...layer, colour }, gesture)}
            />
          </Row>
        </div>
      ))}
    </>
  )
}

const firstOfWords = ({ light }: StyleGuide): WordsShadow[number] => ({
  x: 0,
  y: 1,
  blur: 8,
  colour: { role: light.role, alpha: 0.7 },
})

/** So many figures, in px, that a field was given. */
function figuresOf(text: string, count: number): number[] | undefined {
  const figures = text.split(/[\s,]+/).map(Number)
  return figures.length === count && figures.every((one) => Math.abs(one) <= 10_000) ? figures : undefined
}

function TextShadow({ style }: { style: StyleAccess }) {
  const guide = useSession((state) => state.session.site.guide)
  const shadows = style.get('textShadow') ?? []
  const set = (next: WordsShadow, gesture?: string) => style.set({ textShadow: next.length > 0 ? next : null }, gesture)
  return (
    <>
      <Row label="Of words" style={style} names={['textShadow']}>
        <span className="flex-1 self-center truncate text-muted">
          {style.isMixed('textShadow') ? MIXED : shadows.length === 0 ? 'No shadow' : `${shadows.length} of ${MOST_SHADOWS}`}
        </span>
        {shadows.length < MOST_SHADOWS && (
          <More label="Add a shadow of the words" onPress={() => set([...shadows, firstOfWords(guide)])} />
        )}
      </Row>
      {shadows.map((one, at) => (
        <Row key={at} label="">
          <ListField
            label={`Shadow ${at + 1} of the words`}
            placeholder="0 1 8"
            takes="three figures in px: across, down, blur"
            text={[one.x, one.y, one.blur].join(' ')}
            onChange={(text) => {
              const figures = figuresOf(text, 3)
              const fits = figures !== undefined && figures[2]! >= 0
              if (fits)
                set(shadows.map((each, i) => (i === at ? { ...one, x: figures[0]!, y: figures[1]!, blur: figures[2]! } : each)))
              return fits
            }}
          />
          <ColourField
            label={`Colour of shadow ${at + 1} of the words`}
            value={one.colour}
            onChange={(colour, gesture) =>
              colour &&
              set(
                shadows.map((each, i) => (i === at ? { ...one, colour } : each)),
                gesture,
              )
            }
          />
          <Less label={`Take out shadow ${at + 1} of the words`} onPress={() => set(shadows.filter((_, i) => i !== at))} />
        </Row>
      ))}
    </>
  )
}

const SMALL = 'flex h-[26px] w-[26px] shrink-0 items-center justify-center rounded-2 border border-line-strong'
const More = ({ label, onPress }: { label: string; onPress: () => void }) => (
  <button type="button" aria-label={label} title={label} className={`${SMALL} hover:border-ink`} onClick={onPress}>
    <Plus size={12} />
  </button>
)
const Less = ({ label, onPress }: { label: string; onPress: () => void }) => (
  <button type="button" aria-label={label} title={label} className={`${SMALL} text-muted hover:text-rust`} onClick={onPress}>
    <X size={12} />
  </button>
)

function Contact({ style }: { style: StyleAccess }) {
  const { light } = useSession((state) => state.session.site.guide)
  const contact = style.get('contact')
  return (
    <Row label="Contact" style={style} names={['contact']}>
      <NumberField
        className="w-[74px]"
        label="Contact shadow"
        unit="px"
        placeholder={style.isMixed('contact') ? MIXED : 'None'}
        value={contact?.height ?? null}
        least={1}
        most={200}
        onClear={() => style.set({ contact: null })}
        onChange={(height) => style.set({ contact: { colour: { role: light.role, alpha: 0.4 }, ...contact, height } })}
      />
      {contact && (
        <ColourField
          label="Colour of the contact shadow"
          value={contact.colour}
          onChange={(colour, gesture) => style.set({ contact: colour ? { ...contact, colour } : null }, gesture)}
        />
      )}
    </Row>
  )
}
