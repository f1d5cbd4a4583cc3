import { memo, useLayoutEffect, useRef } from 'react'
import { hexOf } from '#core/colour/contrast'
import { printRules } from '#core/render/rules'
import { buttonRules } from '#core/render/look-rules'
import { tokenDeclarations } from '#core/render/guide-rules'
import { STATES, type State } from '#core/guide/looks'
import type { Site } from '#core/site/schema'

/** A kind of button in one of its states. */
export type KindState = { kind: string; state: State }

type GridProps = { site: Site; words: string; chosen: KindState | null; onChoose: (chosen: KindState) => void }

/** The rules of a shadow tree: the guide's tokens, and every kind in every state. */
function cssOf(site: Site): string {
  const tokens = tokenDeclarations(site).map(([name, value]) => `${name}:${value}`)
  const rules = site.guide.buttons.flatMap((button) => buttonRules(button, site.guide, true, 'specimen'))
  return `:host{display:block;${tokens.join(';')}}${printRules(rules, 'minified')}span{white-space:nowrap}*{box-sizing:border-box}`
}

/** Largest share of its true size that a button is drawn at. */
const LARGEST = 0.72

/** Draws one button as the pages will, in a shadow tree, scaled to its cell. */
function Drawn({ css, kind, state, words }: KindState & { css: string; words: string }) {
  const host = useRef<HTMLSpanElement>(null)
  useLayoutEffect(() => {
    const element = host.current!
    const root = element.shadowRoot ?? element.attachShadow({ mode: 'open' })
    const style = document.createElement('style')
    style.textContent = css
    const button = document.createElement('span')
    button.className = `button-${kind}`
    button.dataset.state = state
    button.textContent = words
    root.replaceChildren(style, button)
    // The ring around what has the focus needs room as well.
    element.style.scale = String(Math.min(LARGEST, element.clientWidth / (button.offsetWidth + 10)))
  }, [css, kind, state, words])
  return <span ref={host} className="block origin-left" />
}
const DrawnButton = memo(Drawn)

/** Every kind of button in every state, side by side; one is chosen to be changed. */
export function StatesGrid({ site, words, chosen, onChoose }: GridProps) {
  const css = cssOf(site)
  const ground = hexOf({ role: 'ground' }, site.guide.colours)
  return (
    <div
      className="grid grid-cols-[70px_repeat(6,minmax(0,1fr))] items-center gap-1"
      role="group"
      aria-label="Kinds of button and their states"
    >
      <span />
      {STATES.map((state) => (
        <span key={state} className="text-label text-ink-2">
          {state}
        </span>
      ))}
      {site.guide.buttons.map((button) => (
        <div key={button.name} className="contents">
          <span className="truncate" title={button.name}>
            {button.name}
          </span>
          {STATES.map((state) => (
            <button
              key={state}
              type="button"
              aria-label={`${button.name}, ${state}: ${words}`}
              aria-pressed={chosen?.kind === button.name && chosen.state === state}
              data-state-of={`${button.name} ${state}`}
              className="h-[52px] overflow-hidden rounded-2 border border-line px-2 outline-offset-[-2px] hover:border-ink aria-pressed:outline-2 aria-pressed:outline-yarrow"
              // On the ground of the guide: what is seen on paper is not seen at night.
              style={{ background: ground }}
              onClick={() => onChoose({ kind: button.name, state })}
            >
              <DrawnButton css={css} kind={button.name} state={state} words={words} />
            </button>
          ))}
        </div>
      ))}
    </div>
  )
}
