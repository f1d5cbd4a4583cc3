import { panelRules } from '#core/render/panel-rules'
import { printRules } from '#core/render/rules'
import type { Stress } from './stress'

/** What Chromium leaves free at each side of a sheet where nothing is said: 1 cm, px. */
const MARGIN = 96 / 2.54
/** Sheets, px across: A4 is 210 by 297 mm (ISO 216), Letter 8.5 by 11 in (ANSI/ASME Y14.1). */
const SHEETS = { a4: (210 / 25.4) * 96, letter: 8.5 * 96, letterAcross: 11 * 96, a4Across: (297 / 25.4) * 96 }

/** Widths that a page is laid out at on paper, px: A4 and Letter, upright and across. */
export const PAPERS: readonly number[] = Object.values(SHEETS)
  .map((across) => Math.floor(across - 2 * MARGIN))
  .sort((a, b) => a - b)

/** What pages say for print alone, said here for the screen. */
const PRINTED = printRules(
  panelRules(
    () => true,
    () => true,
  )
    .filter((one) => one.when === 'printed')
    .map(({ when: _, ...one }) => one),
  'minified',
)

/** The page on paper. */
export const print = {
  label: 'Print',
  note: 'on A4 and Letter, upright and across, without grounds, as browsers print',
  css: `${PRINTED}*{background-color:transparent!important;background-image:none!important;box-shadow:none!important;text-shadow:none!important;color:#000!important}html{background:#fff!important}video,iframe{visibility:hidden}`,
  widths: PAPERS,
} satisfies Stress
