import { PAUSE, RUN, TURN } from '#core/blocks/strip'
import type { Declaration } from '#core/style/property'
import { GOES_ON } from './motion-animations'
import type { Rule } from './rules'
import { CONTROL } from './show-rules'

/**
 * What a strip says where motion is wanted, by what follows its selector: its blocks and their copy stand in one line, each
 * at least as wide as the strip, so that the one follows the other without a hole; it waits for the pointer. One thing moves,
 * since two would not start in the same frame everywhere.
 * @param gap between its blocks, in CSS
 */
export const stripMoving = (gap: string): [string, Declaration[]][] => [
  [
    '',
    [
      ['overflow', 'clip'],
      ['flex-flow', 'row nowrap'],
    ],
  ],
  [
    ` > .${RUN}`,
    [
      ['display', 'grid'],
      ['grid-template-columns', '1fr 1fr'],
      ['flex', 'none'],
      ['min-width', gap === '0' ? '200%' : `calc(200% + ${gap})`],
    ],
  ],
  [` > .${RUN} > .${TURN}`, [['justify-content', 'space-around']]],
  // By themselves, since the one shows its blocks and the other none where the motion ends.
  [` > .${RUN} > .${TURN}:not([aria-hidden])`, [['display', 'flex']]],
  [` > .${RUN} > .${TURN}[aria-hidden]`, [['display', 'flex']]],
  [':is(:hover, :focus-within)', [[GOES_ON, 'paused']]],
]

const rule = (selector: string, declarations: Declaration[], when?: Rule['when']): Rule => ({
  selector,
  below: null,
  declarations,
  ...(when ? { when } : {}),
})

/** What all strips have in common: at rest their blocks stand as in any row, and once only. */
export const stripRules = (hasClass: (name: string) => boolean): Rule[] => [
  ...(hasClass(RUN)
    ? [
        rule(`.${RUN}, .${TURN}`, [
          ['display', 'contents'],
          ['gap', 'inherit'],
          ['align-items', 'inherit'],
        ]),
        rule(`.${TURN}[aria-hidden]`, [['display', 'none']]),
      ]
    : []),
  ...(hasClass(PAUSE)
    ? [
        rule(`.${PAUSE}`, [['display', 'none']]),
        rule(`:has(> .${PAUSE})`, [['position', 'relative']], 'wanted'),
        rule(`:has(> .${PAUSE} :checked)`, [[GOES_ON, 'paused']], 'wanted'),
        rule(
          `.${PAUSE}`,
          [...CONTROL, ['position', 'absolute'], ['right', '12px'], ['bottom', '12px'], ['z-index', '1']],
          'wanted',
        ),
        rule(
          `.${PAUSE} input`,
          [
            ['position', 'absolute'],
            ['inset', '0'],
            ['margin', '0'],
            ['border-radius', 'inherit'],
            ['appearance', 'none'],
          ],
          'wanted',
        ),
        rule(`.${PAUSE} span::before`, [['content', '"❚❚"']], 'wanted'),
        rule(`.${PAUSE} :checked + span::before`, [['content', '"▶"']], 'wanted'),
      ]
    : []),
]
