import type { Block } from '#core/blocks/index'
import { FOLD, FOLD_PADDING, foldsBelow } from '#core/blocks/nav'
import { ONE_SHOWN, OVER, showsOne } from '#core/blocks/panel'
import type { Breakpoint } from '#core/grid/breakpoint'
import type { Declaration } from '#core/style/property'
import type { Rule, When } from './rules'

const rule = (selector: string, declarations: Declaration[], when?: When): Rule => ({
  selector,
  below: null,
  declarations,
  ...(when ? { when } : {}),
})

/** What lies over the page or is folded, as long as it is shut. An engine that knows no popovers drops the rule, and shows it. */
const shut = (selector: string) => `${selector}:not([open], :popover-open)`
const opened = (selector: string) => `${selector}:is([open], :popover-open)`

const PLATE: Declaration[] = [
  ['border', '0'],
  ['color', 'var(--ink)'],
  ['background', 'var(--ground)'],
  ['overscroll-behavior', 'contain'],
]
const BELOW_ITS_BUTTON: Declaration[] = [
  ['inset', 'auto'],
  ['margin', '8px 0 0'],
  ['position-area', 'block-end span-inline-end'],
  ['position-try-fallbacks', 'flip-inline, flip-block'],
]
const OVER_ALL: Declaration[] = [
  ['inset', '0'],
  ['width', '100%'],
  ['height', '100%'],
  ['max-width', 'none'],
  ['max-height', 'none'],
  ['margin', '0'],
]
export const BUTTON: Declaration[] = [
  ['min-height', '44px'],
  ['padding', '0 16px'],
  ['border', '1px solid currentcolor'],
  ['font', 'inherit'],
  ['color', 'inherit'],
  ['background', 'none'],
  ['cursor', 'pointer'],
]

/** What opens in its place: the line that is pressed, with a mark at its end. */
const detailsRules = (has: (tag: string) => boolean): Rule[] =>
  !has('details')
    ? []
    : [
        rule('summary', [
          ['display', 'flex'],
          ['align-items', 'center'],
          ['justify-content', 'space-between'],
          ['gap', '16px'],
          ['min-height', '44px'],
          ['cursor', 'pointer'],
        ]),
        rule('summary::-webkit-details-marker', [['display', 'none']]),
        // The mark is no word, so it is not read aloud (CSS Content 3, 1.2).
        rule('summary::after', [
          ['content', '"+" / ""'],
          ['font-size', '1.5em'],
          ['line-height', '1'],
        ]),
        rule('[open] > summary::after', [['content', '"–" / ""']]),
        rule('details:not([open])', [['row-gap', '0']]),
        rule(
          'details::details-content',
          [
            ['content-visibility', 'visible'],
            ['height', 'auto'],
          ],
          'printed',
        ),
      ]

/** What lies over the page: under its button, mid-window, or over all. On paper it stands where it is. */
const overRules = (hasClass: (name: string) => boolean): Rule[] => {
  if (!hasClass(OVER)) return []
  const there: Declaration[] = [
    ['display', 'block'],
    ['position', 'static'],
    ['width', 'auto'],
    ['height', 'auto'],
  ]
  return [
    rule(`:where(.${OVER})`, [['padding', '24px'], ...PLATE]),
    rule(`:where(.${OVER}[popover])`, BELOW_ITS_BUTTON),
    rule(`:where(dialog.${OVER})`, [
      ['max-width', 'min(640px, 100% - 32px)'],
      ['max-height', 'calc(100% - 32px)'],
      ['margin', 'auto'],
    ]),
    rule(`:where(dialog.${OVER}[data-over="cover"])`, OVER_ALL),
    rule(`dialog.${OVER}::backdrop`, [['background', 'rgb(0 0 0 / 0.5)']]),
    rule(shut(`.${OVER}`), [['display', 'none']]),
    rule(shut(`.${OVER}`), there, 'printed'),
    // Engines of before 2025 open no dialog without a script.
    rule(`dialog${shut(`.${OVER}`)}`, there, 'unscripted'),
  ]
}

/** What is folded has no box of its own where it is not. */
const foldRules = (hasClass: (name: string) => boolean): Rule[] =>
  !hasClass(FOLD)
    ? []
    : [
        rule(`.${FOLD}`, [
          ['display', 'contents'],
          // Browsers give popovers colours of their own (HTML, 15.3.2).
          ['color', 'inherit'],
        ]),
        rule('.fold-open, .fold-close', [['display', 'none'], ...BUTTON]),
        rule('.fold-close', [['align-self', 'end']]),
      ]

/** Rules of what opens, folds and gives way, as far as something on the pages does. */
export const panelRules = (has: (tag: string) => boolean, hasClass: (name: string) => boolean): Rule[] => [
  ...detailsRules(has),
  ...overRules(hasClass),
  ...foldRules(hasClass),
]

/** What is not shown of a group that shows one of its blocks at a time. */
export const notShown = (selector: string) => `${selector}.${ONE_SHOWN} > :not([data-shown])`

/**
 * The rules of a group that shows one of its blocks at a time. All lie in one place, so that the page keeps its height.
 * @param when what is asked before any is hidden
 */
export function oneShownRules(block: Block, selector: string, when?: When): Rule[] {
  if (!showsOne(block)) return []
  return [
    rule(
      `${selector}.${ONE_SHOWN}`,
      [
        ['display', 'grid'],
        ['grid-template-columns', 'minmax(0, 1fr)'],
      ],
      when,
    ),
    rule(`${selector}.${ONE_SHOWN} > *`, [['grid-area', '1 / 1']], when),
    rule(notShown(selector), [['visibility', 'hidden']], when),
  ]
}

/** The rules of a nav whose links are folded away below a breakpoint. */
export function foldedRules(block: Block, selector: string, breakpoints: readonly Breakpoint[]): Rule[] {
  const below = foldsBelow(block, breakpoints)
  if (below === 0) return []
  const at = (target: string, declarations: Declaration[]): Rule => ({ selector: target, below, declarations })
  const fold = `${selector} > .${FOLD}`
  const cover = block.kind === 'nav' && block.folds?.as === 'cover'
  return [
    at(`${selector} > .fold-open:not(:popover-open)`, [['display', 'inline-block']]),
    at(shut(fold), [['display', 'none']]),
    at(opened(fold), [
      ['display', 'flex'],
      ['flex-direction', 'column'],
      ['gap', '16px'],
      ['padding', `${FOLD_PADDING}px`],
      ...PLATE,
      ...(cover ? OVER_ALL : BELOW_ITS_BUTTON),
    ]),
    ...(cover ? [at(`${fold} > .fold-close`, [['display', 'block']])] : []),
  ]
}
