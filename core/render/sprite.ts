import type { Element } from 'hast'
import { element } from '#core/blocks/html'
import { shapesOf } from '#core/blocks/icon'
import { type Icon, viewBoxOf } from '#core/values/icon'
import { htmlText } from './html-text'

/** An icon as a symbol of a file of all. */
export const symbolOf = (icon: Icon, id: string, centred: boolean): Element =>
  element('symbol', { id, viewBox: viewBoxOf(icon, centred) }, shapesOf(icon))

/** The file of all icons: what is referred to, and nothing that is drawn by itself. */
export const spriteOf = (symbols: readonly Element[]): string =>
  htmlText(element('svg', { xmlns: 'http://www.w3.org/2000/svg' }, [...symbols]))
