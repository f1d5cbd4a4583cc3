import { BLENDS } from '#core/style/surface'
import type { Shadow } from '#core/values/colour'
import { Choice } from '../../ui/choice'
import { ListField } from '../../ui/list-field'
import { NumberField } from '../../ui/number-field'
import { useSession } from '../../session/context'
import { ColourField } from '../../fields/colour-field'
import { ChoiceOf, ColourRow, LengthOf, MIXED, NumberOf } from './fields'
import { ColumnHead, Row } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'

const SIDES = [
  { value: 'all', label: 'All sides' },
  { value: 'top', label: 'Top' },
  { value: 'bottom', label: 'Bottom' },
  { value: 'left', label: 'Left' },
  { value: 'right', label: 'Right' },
  { value: 'top-bottom', label: 'Top, bottom' },
] as const

const BLEND_OPTIONS = BLENDS.map((value) => ({
  value,
  label: value[0]!.toUpperCase() + value.slice(1).replace('-', ' ').replace('olor', 'olour'),
}))

/** Colours, edges, corners and shadow of the block's box. */
export function SurfaceColumn({ style }: { style: StyleAccess }) {
  const shadows = useSession((state) => state.session.site.guide.shadows)
  const shadow = style.get('shadow') as Shadow | undefined
  const contact = style.get('contact')
  const { light } = useSession((state) => state.session.site.guide)
  const gradient = style.get('gradient')
  return (
    <div>
      <ColumnHead title="Surface" note={style.get('fill') ? 'filled' : 'no fill'} />
      <ColourRow style={style} name="ink" />
      <ColourRow style={style} name="fill" />
      {style.has('gradient') && style.get('fill') && (
        <Row label="Fades to" style={style} names={['gradient']}>
          <ColourField
            label="Gradient to"
            value={gradient?.to}
            onChange={(to, gesture) =>
              style.set({ gradient: to && { angle: gradient?.angle ?? 180, from: style.get('fill')!, to } }, gesture)
            }
          />
          {gradient && (
            <NumberField
              className="w-[70px]"
              label="Angle of the gradient"
              unit="°"
              value={gradient.angle}
              least={0}
              most={360}
              step={15}
              onChange={(angle) => style.set({ gradient: { ...gradient, angle } })}
            />
          )}
        </Row>
      )}
      {style.has('edgeWidth') && (
        <Row label="Edge" style={style} names={['edgeWidth', 'edgeSides']}>
          <NumberOf style={style} name="edgeWidth" unit="px" placeholder="none" least={0} most={60} />
          {style.has('edgeSides') && <ChoiceOf style={style} name="edgeSides" options={SIDES} fallback="all" />}
        </Row>
      )}
      <ColourRow style={style} name="edgeColour" label="Its colour" />
      {style.has('corner') && (
        <Row label="Corners" style={style} names={['corner']}>
          <LengthOf style={style} name="corner" tokens="corners" fluid={false} units={['px', '%', 'rem']} />
        </Row>
      )}
      {style.has('corners') && (
        <Row label="Each" style={style} names={['corners']}>
          <ListField
            label="Corners one by one"
            takes="four figures in px, from the top left one clockwise: 8 8 0 0"
            placeholder={style.isMixed('corners') ? MIXED : 'All alike'}
            text={style.get('corners')?.join(' ') ?? ''}
            onChange={(text) => {
              const corners = text === '' ? null : text.split(/[\s,]+/).map(Number)
              const fits = corners === null || (corners.length === 4 && corners.every((one) => one >= 0 && one <= 2000))
              if (fits) style.set({ corners })
              return fits
            }}
          />
        </Row>
      )}
      {style.has('shadow') && (
        <Row label="Shadow" style={style} names={['shadow']}>
          <Choice
            className="flex-1"
            label="Shadow"
            placeholder={style.isMixed('shadow') ? MIXED : 'None'}
            value={shadow && 'token' in shadow ? shadow.token : shadow ? 'own' : null}
            options={[{ value: 'none', label: 'None' }, ...shadows.map((one) => ({ value: one.name, label: one.name }))]}
            onChange={(name) => style.set({ shadow: name === 'none' && style.scope === 'base' ? null : { token: name } })}
          />
        </Row>
      )}
      {style.has('contact') && (
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
      )}
      {style.has('backdropBlur') && (
        <Row label="Behind it" style={style} names={['backdropBlur']}>
          <NumberOf style={style} name="backdropBlur" unit="px blur" placeholder="0" least={0} most={60} />
        </Row>
      )}
      {style.has('blend') && (
        <Row label="Blends" style={style} names={['blend']}>
          <ChoiceOf style={style} name="blend" options={BLEND_OPTIONS} fallback="normal" />
        </Row>
      )}
      <Row label="Opacity" style={style} names={['opacity']}>
        <NumberField
          className="flex-1"
          label="Opacity"
          unit="%"
          placeholder={MIXED}
          value={style.isMixed('opacity') ? null : Math.round((style.get('opacity') ?? 1) * 100)}
          least={0}
          most={100}
          step={5}
          onChange={(percent) => style.set({ opacity: percent === 100 && style.scope === 'base' ? null : percent / 100 })}
        />
      </Row>
    </div>
  )
}
