/** Devices that are nobody's: a screen, what is around it, and marks over it, in px of the screen. */
export type DeviceDrawing = {
  size: { width: number; height: number }
  screen: { x: number; y: number; width: number; height: number }
  /** Radius of the corners of the screen. */
  corner: number
  body: readonly string[]
  marks: readonly string[]
}

export const DEVICE_NAMES = ['wide screen', 'laptop', 'tablet', 'phone'] as const
export type DeviceName = (typeof DEVICE_NAMES)[number]

const plate = (x: number, y: number, width: number, height: number, r: number) =>
  `M${x + r} ${y}H${x + width - r}A${r} ${r} 0 0 1 ${x + width} ${y + r}V${y + height - r}A${r} ${r} 0 0 1 ${x + width - r} ${y + height}H${x + r}A${r} ${r} 0 0 1 ${x} ${y + height - r}V${y + r}A${r} ${r} 0 0 1 ${x + r} ${y}Z`

export const DEVICES: Record<DeviceName, DeviceDrawing> = {
  'wide screen': {
    size: { width: 1968, height: 1284 },
    screen: { x: 24, y: 24, width: 1920, height: 1080 },
    corner: 4,
    body: [plate(0, 0, 1968, 1128, 20), 'M864 1128H1104L1128 1252H840Z', plate(744, 1248, 480, 36, 12)],
    marks: [],
  },
  laptop: {
    size: { width: 1560, height: 896 },
    screen: { x: 140, y: 24, width: 1280, height: 800 },
    corner: 6,
    body: [plate(116, 0, 1328, 848, 24), 'M0 848H1560V862Q1560 896 1526 896H34Q0 896 0 862Z'],
    marks: [],
  },
  tablet: {
    size: { width: 884, height: 1140 },
    screen: { x: 58, y: 58, width: 768, height: 1024 },
    corner: 8,
    body: [plate(0, 0, 884, 1140, 44)],
    marks: [],
  },
  phone: {
    size: { width: 411, height: 848 },
    screen: { x: 18, y: 18, width: 375, height: 812 },
    corner: 36,
    body: [plate(0, 0, 411, 848, 54)],
    marks: [],
  },
}
