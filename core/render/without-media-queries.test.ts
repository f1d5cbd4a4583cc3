import { expect, test } from 'vitest'
import { rulesAtViewport } from './without-media-queries'
import type { Rule } from './rules'

const rules: Rule[] = [
  { selector: ':root', below: null, declarations: [['--columns', '12']] },
  { selector: ':root', below: 640, declarations: [['--columns', '4']] },
  { selector: 'body', below: null, declarations: [['font-size', 'clamp(1rem, 0.5rem + 2.5vw, 3rem)']] },
  { selector: '.opening', below: 1024, declarations: [['min-height', '50vh']] },
]

test('the rules of a width are those that hold there, without media queries and viewport units', () => {
  expect(rulesAtViewport(rules, { width: 375, height: 800 })).toEqual([
    { selector: ':host', below: null, declarations: [['--columns', '4']] },
    { selector: '.page', below: null, declarations: [['font-size', 'clamp(1rem, 0.5rem + 9.375px, 3rem)']] },
    { selector: '.opening', below: null, declarations: [['min-height', '400px']] },
  ])
  expect(rulesAtViewport(rules, { width: 1024, height: 800 })).toHaveLength(2)
  expect(rulesAtViewport(rules, { width: 1023, height: 800 })).toHaveLength(3)
})
