import { z } from 'zod'

/** Changes to the light of a picture, as `filter` makes them (Filter Effects 1): nothing of it is lost in the file. */
export const filterSchema = z.strictObject({
  /** Px. */
  blur: z.number().min(0).max(60).optional(),
  /** 1 leaves it as it is. */
  brightness: z.number().min(0).max(3).optional(),
  contrast: z.number().min(0).max(3).optional(),
  saturation: z.number().min(0).max(3).optional(),
  /** 0 to 1. */
  greyscale: z.number().min(0).max(1).optional(),
})
export type Filter = z.infer<typeof filterSchema>

/** The `filter` of a picture: light first, so that a blur mixes what is seen. */
export function filterToCss({ blur, brightness, contrast, saturation, greyscale }: Filter): string {
  const parts = [
    brightness !== undefined && brightness !== 1 ? `brightness(${brightness})` : '',
    contrast !== undefined && contrast !== 1 ? `contrast(${contrast})` : '',
    saturation !== undefined && saturation !== 1 ? `saturate(${saturation})` : '',
    greyscale ? `grayscale(${greyscale})` : '',
    blur ? `blur(${blur}px)` : '',
  ].filter((one) => one !== '')
  return parts.length === 0 ? 'none' : parts.join(' ')
}
