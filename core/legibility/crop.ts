export type Size = { width: number; height: number }
export type Rect = Size & { left: number; top: number }

/** How a picture fills its box, and the point of it that its crop keeps, percent of its sides. */
export type Crop = { fit: 'cover' | 'contain'; focal: { x: number; y: number } }

/**
 * Where a picture is drawn in its box, in px of the box: past its edges where it is cropped. As `object-fit` and
 * `object-position` say it (CSS Images 3, 5.5 and 5.6): a percentage lays that point of the picture on that of the box.
 */
export function drawnIn(box: Size, picture: Size, { fit, focal }: Crop): Rect {
  const ratios = [box.width / picture.width, box.height / picture.height] as const
  const scale = fit === 'cover' ? Math.max(...ratios) : Math.min(...ratios)
  const [width, height] = [picture.width * scale, picture.height * scale]
  return { width, height, left: ((box.width - width) * focal.x) / 100, top: ((box.height - height) * focal.y) / 100 }
}

/** The part of a picture that lies behind a part of its box, in px of the picture; it may reach past its sides. */
export function behind(part: Rect, box: Size, picture: Size, crop: Crop): Rect {
  const drawn = drawnIn(box, picture, crop)
  const scale = picture.width / drawn.width
  return {
    left: (part.left - drawn.left) * scale,
    top: (part.top - drawn.top) * scale,
    width: part.width * scale,
    height: part.height * scale,
  }
}
