import { Plus, Trash2 } from 'lucide-react'
import type { StyleGuide } from '#core/guide/style-guide'
import { shadowToCss } from '#core/style/css-values'
import { layersOf } from '#core/guide/shadows'
import { tokensInUse } from '#core/analysis/values-in-use'
import { pixels } from '#core/values/length'
import { pxAt } from '#core/type/measure'
import { LengthField } from '../fields/length-field'
import { Button, IconButton } from '../ui/button'
import { NumberField } from '../ui/number-field'
import { ChoiceIn, NumberIn } from './fields'
import { freeName } from './colour-part'
import { Heading, Named, Part } from './part'
import { useGuide } from './use-guide'

type Sized = StyleGuide['spaces'][number]

/** Scales that spaces may be made anew from: each step from the baseline. */
const SCALES = {
  'Half, whole, twice …': [1, 2, 3, 4, 6, 8, 12, 16, 24],
  'Even steps': [1, 2, 3, 4, 5, 6, 7, 8, 9],
  Doubling: [1, 2, 4, 8, 16, 32],
  Fibonacci: [1, 2, 3, 5, 8, 13, 21, 34],
} as const

/** Spaces on a rhythm, corners, and shadows out of a height and a light. */
export function SpacePart({ number }: { number: number }) {
  const { guide, set, site } = useGuide()
  const { baseline, spaces } = guide
  const off = spaces.filter(({ size }) => {
    const px = pxAt(size, 1280)
    return px !== undefined && Math.abs(px / baseline - Math.round(px / baseline)) > 0.01
  })
  const used = tokensInUse(site)
  return (
    <Part number={number} title="Space, corners, shadows" note={`${spaces.length} spaces on a rhythm of ${baseline} px`}>
      <div className="mb-2 flex items-end gap-2">
        <NumberIn
          label="Rhythm"
          width="w-[80px]"
          unit="px"
          value={baseline}
          least={1}
          most={40}
          onChange={(value) => set('baseline', value)}
        />
        <ChoiceIn
          label="All spaces anew, from the rhythm"
          name="All spaces anew"
          width="w-[190px]"

          placeholder="Choose a scale"
          value={null}
          options={Object.keys(SCALES).map((one) => ({ value: one, label: one }))}
          onChange={(scale) => set('spaces', respaced(spaces, SCALES[scale as keyof typeof SCALES], baseline))}
        />
        {off.length > 0 && (
          <Button
            className="!h-[26px]"
            onClick={() =>
              set(
                'spaces',
                spaces.map((one) =>
                  off.includes(one)
                    ? { ...one, size: pixels(Math.max(baseline, Math.round(pxAt(one.size, 1280)! / baseline) * baseline)) }
                    : one,
                ),
              )
            }
          >
            Bring {off.length} onto the rhythm
          </Button>
        )}
      </div>
      <div className="grid grid-cols-2 gap-x-6">
        <div>
          <Heading>Spaces</Heading>
          <SizedList part="spaces" stem="space" list={spaces} used={used} />
        </div>
        <div>
          <Heading>Corners</Heading>
          <SizedList part="corners" stem="corner" list={guide.corners} used={used} />
        </div>
      </div>
      <Shadows used={used} />
    </Part>
  )
}

/** Spaces with the sizes of a scale, under the names that they have; further steps are added. */
function respaced(spaces: readonly Sized[], steps: readonly number[], baseline: number): Sized[] {
  const made = steps.map((step, i): Sized => ({ name: spaces[i]?.name ?? `space-${i + 1}`, size: pixels(step * baseline) }))
  return [...made, ...spaces.slice(made.length)]
}

type SizedListProps = { part: 'spaces' | 'corners'; stem: string; list: readonly Sized[]; used: ReadonlySet<string> }

function SizedList({ part, stem, list, used }: SizedListProps) {
  const { set } = useGuide()
  return (
    <ul className="space-y-1">
      {list.map((one) => {
        const px = pxAt(one.size, 1280) ?? 0
        return (
          <li key={one.name} className="grid grid-cols-[64px_96px_1fr_24px] items-center gap-2" data-token={one.name}>
            <span className="truncate">{one.name}</span>
            <LengthField
              label={`Size of ${one.name}`}
              value={one.size}
              units={['px', 'rem']}
              onChange={(size) =>
                size &&
                set(
                  part,
                  list.map((other) => (other === one ? { ...one, size } : other)),
                )
              }
            />
            {part === 'spaces' ? (
              <span aria-hidden className="min-w-0 overflow-hidden">
                <span className="block h-2.5 bg-reed/70" style={{ width: px }} />
              </span>
            ) : (
              <span aria-hidden className="h-5 w-9 border border-ink-2 bg-field" style={{ borderRadius: Math.min(px, 20) }} />
            )}
            <IconButton
              label={used.has(one.name) ? `${one.name} is used` : `Take away ${one.name}`}
              className="!h-6 !w-6"
              disabled={used.has(one.name)}
              onClick={() =>
                set(
                  part,
                  list.filter((other) => other !== one),
                )
              }
            >
              <Trash2 size={13} strokeWidth={1.5} />
            </IconButton>
          </li>
        )
      })}
      <li>
        <Button
          className="!h-6"
          onClick={() => {
            const last = list.at(-1)
            const name = freeName(
              `${stem}-${list.length + 1}`,
              list.map((one) => one.name),
            )
            set(part, [...list, { name, size: pixels(Math.round((last ? (pxAt(last.size, 1280) ?? 16) : 16) * 1.5)) }])
          }}
        >
          <Plus size={13} strokeWidth={1.5} /> {part === 'spaces' ? 'Space' : 'Corner'}
        </Button>
      </li>
    </ul>
  )
}

/** Shadows: each from its height above the page, and all from one light. */
function Shadows({ used }: { used: ReadonlySet<string> }) {
  const { guide, set, attempt } = useGuide()
  const { light, shadows } = guide
  const hexOf = (role: string) => guide.colours.find((one) => one.role === role)?.hex ?? '#000000'
  const cssOf = (shadow: (typeof shadows)[number]) =>
    layersOf(guide, shadow)
      .map(shadowToCss)
      .join(', ')
      .replace(/var\(--([\w-]+)\)/g, (_, role: string) => hexOf(role))
  return (
    <>
      <Heading>Shadows</Heading>
      <div className="flex items-end gap-2">
        <Named
          label={`Light from ${Math.abs(light.angle)}° ${light.angle < 0 ? 'left' : light.angle > 0 ? 'right' : ''}`}
          className="w-[180px]"
        >
          <input
            type="range"
            aria-label="Direction of the light"
            className="slider h-4"
            min={-90}
            max={90}
            step={5}
            value={light.angle}
            onChange={(event) => {
              const next = { ...light, angle: Number(event.target.value) }
              attempt({ ...guide, light: next })
              set('light', next, 'light-angle')
            }}
          />
        </Named>
        <NumberIn
          label="Strength"
          name="Strength of shadows"
          width="w-[76px]"

          unit="%"
          value={Math.round(light.strength * 100)}
          least={0}
          most={100}
          whole
          onChange={(value) => set('light', { ...light, strength: value / 100 })}
        />
        <ChoiceIn
          label="Colour"
          name="Colour of shadows"
          width="w-[120px]"

          value={light.role}
          options={guide.colours.map((one) => ({ value: one.role, label: one.role }))}
          onChange={(role) => set('light', { ...light, role })}
        />
      </div>
      <ul className="mt-3 grid grid-cols-[repeat(auto-fill,minmax(150px,1fr))] gap-4">
        {shadows.map((one) => (
          <li key={one.name} data-token={one.name}>
            <span aria-hidden className="mx-2 mb-3 mt-1 block h-12 bg-field" style={{ boxShadow: cssOf(one) }} />
            <span className="flex items-center gap-1">
              <span className="flex-1 truncate">{one.name}</span>
              <NumberField
                className="w-[74px]"
                label={`Height of ${one.name}`}
                unit="px"
                placeholder="layers"
                value={'height' in one ? one.height : null}
                least={0}
                most={100}
                onChange={(height) =>
                  set(
                    'shadows',
                    shadows.map((other) => (other === one ? { name: one.name, height } : other)),
                  )
                }
              />
              <IconButton
                label={used.has(one.name) ? `${one.name} is used` : `Take away ${one.name}`}
                className="!h-6 !w-6"
                disabled={used.has(one.name)}
                onClick={() =>
                  set(
                    'shadows',
                    shadows.filter((other) => other !== one),
                  )
                }
              >
                <Trash2 size={13} strokeWidth={1.5} />
              </IconButton>
            </span>
          </li>
        ))}
        <li className="self-end">
          <Button
            className="!h-6"
            disabled={shadows.length >= 12}
            onClick={() =>
              set('shadows', [
                ...shadows,
                {
                  name: freeName(
                    `shadow-${shadows.length + 1}`,
                    shadows.map((one) => one.name),
                  ),
                  height: 24,
                },
              ])
            }
          >
            <Plus size={13} strokeWidth={1.5} /> Shadow
          </Button>
        </li>
      </ul>
    </>
  )
}
