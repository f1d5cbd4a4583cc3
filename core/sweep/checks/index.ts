import type { WidthCheck } from '../check'
import { blownUp } from './blown-up'
import { brokenWord } from './broken-word'
import { carriedPast } from './carried-past'
import { closeTargets } from './close-targets'
import { coveredWords } from './covered-words'
import { cutWords } from './cut-words'
import { emptyColumn } from './empty-column'
import { focusCropped } from './focus-cropped'
import { headingLines } from './heading-lines'
import { highSticky } from './high-sticky'
import { loneWord } from './lone-word'
import { longLines } from './long-lines'
import { overEachOther } from './over-each-other'
import { overWindow } from './over-window'
import { partedFigure } from './parted-figure'
import { pastHolder } from './past-holder'
import { pastWindow } from './past-window'
import { readingOrder } from './reading-order'
import { rowOfOne } from './row-of-one'
import { secondLine } from './second-line'
import { secondRow } from './second-row'
import { shortLines } from './short-lines'
import { smallTarget } from './small-target'
import { smallWords } from './small-words'
import { splitHeader } from './split-header'
import { tightEdge } from './tight-edge'
import { touchTarget } from './touch-target'
import { unequalGaps } from './unequal-gaps'
import { unevenEnds } from './uneven-ends'
import { wordsOut } from './words-out'

/** Every check that a page undergoes at each of its widths, the gravest first. */
export const WIDTH_CHECKS = {
  pastWindow,
  pastHolder,
  carriedPast,
  cutWords,
  coveredWords,
  overEachOther,
  brokenWord,
  wordsOut,
  smallWords,
  smallTarget,
  readingOrder,
  focusCropped,
  secondLine,
  secondRow,
  headingLines,
  loneWord,
  partedFigure,
  tightEdge,
  longLines,
  shortLines,
  touchTarget,
  closeTargets,
  splitHeader,
  rowOfOne,
  emptyColumn,
  unequalGaps,
  unevenEnds,
  blownUp,
  highSticky,
  overWindow,
} satisfies Record<string, WidthCheck>

export type WidthKind = keyof typeof WIDTH_CHECKS
export const WIDTH_KINDS = Object.keys(WIDTH_CHECKS) as WidthKind[]
