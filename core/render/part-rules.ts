import { PART_STEPS } from '#core/blocks/form'
import type { Declaration } from '#core/style/property'
import { BUTTON } from './panel-rules'
import type { Rule, When } from './rules'

const rule = (selector: string, declarations: Declaration[], when?: When): Rule => ({
  selector,
  below: null,
  declarations,
  ...(when ? { when } : {}),
})

/** A form that is filled in part by part: one is seen, and what sends it comes with the last. Without a script all are. */
export const partRules = (hasClass: (name: string) => boolean): Rule[] =>
  !hasClass(PART_STEPS)
    ? []
    : [
        rule(`.${PART_STEPS}`, [['display', 'none']]),
        rule(
          `.${PART_STEPS}`,
          [
            ['display', 'flex'],
            ['grid-column', '1 / -1'],
            ['align-items', 'center'],
            ['gap', '16px'],
            ['margin-block', '8px 16px'],
          ],
          'scripted',
        ),
        rule(`.${PART_STEPS} button:not([hidden])`, BUTTON, 'scripted'),
        rule('[data-part]:not([data-shown])', [['display', 'none']], 'scripted'),
        rule(`form:not([data-at-last]) > :is(.${PART_STEPS} ~ *, [type="submit"])`, [['display', 'none']], 'scripted'),
      ]
