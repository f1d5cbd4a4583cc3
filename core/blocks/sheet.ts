import { DEVICE_NAMES, type DeviceName, DEVICES } from './devices'

/** The device whose screen is nearest to a view in width, by ratio. */
export function deviceFor(width: number): DeviceName {
  const apart = (name: DeviceName) => Math.abs(Math.log(DEVICES[name].screen.width / width))
  return [...DEVICE_NAMES].sort((a, b) => apart(a) - apart(b))[0]!
}

/** Something on a presentation sheet: its box, and within it the screen on which a view is shown, px of the sheet. */
export type Placed = { x: number; y: number; width: number; height: number; scale: number }

/** Size, margin and gap of a sheet, px. */
export type SheetSize = { width: number; height: number; margin: number; gap: number }

/**
 * Lays things of given sizes on a sheet side by side on one line, in proportion to each other, as large as it lets them be.
 * A small one is shown no smaller than a third of the highest, so that a phone can be read beside a wide screen.
 */
export function sheetLayout(sizes: readonly { width: number; height: number }[], sheet: SheetSize): Placed[] {
  if (sizes.length === 0) return []
  const highest = Math.max(...sizes.map((one) => one.height))
  const drawn = sizes.map((one) => {
    const by = Math.max(1, (highest * LEAST) / one.height)
    return { width: one.width * by, height: one.height * by }
  })
  const across = drawn.reduce((sum, one) => sum + one.width, 0)
  const room = sheet.width - 2 * sheet.margin - (sizes.length - 1) * sheet.gap
  const scale = Math.min(room / across, (sheet.height - 2 * sheet.margin) / Math.max(...drawn.map((one) => one.height)))
  const taken = across * scale + (sizes.length - 1) * sheet.gap
  const bottom = (sheet.height + Math.max(...drawn.map((one) => one.height)) * scale) / 2
  let x = (sheet.width - taken) / 2
  return drawn.map(({ width, height }, i) => {
    const placed = {
      x,
      y: bottom - height * scale,
      width: width * scale,
      height: height * scale,
      scale: (width * scale) / sizes[i]!.width,
    }
    x += width * scale + sheet.gap
    return placed
  })
}

const LEAST = 0.45
