export type Size = { width: number; height: number }
export type Rect = Size & { left: number; top: number }

/**
 * How a picture fills its box, the point of it that its crop keeps, percent of its sides, how much larger it is drawn
 * about that point of the box, and whether it is flipped about the middle of the box.
 */
export type Crop = {
  fit: 'cover' | 'contain'
  focal: { x: number; y: number }
  zoom?: number
  flip?: 'none' | 'across' | 'down' | 'both'
}

/**
 * Where a picture is drawn in its box, in px of the box: past its edges where it is cropped. As `object-fit` and
 * `object-position` say it (CSS Images 3, 5.5 and 5.6): a percentage lays that point of the picture on that of the box.
 */
export function drawnIn(box: Size, picture: Size, { fit, focal, zoom = 1 }: Crop): Rect {
  const ratios = [box.width / picture.width, box.height / picture.height] as const
  const scale = fit === 'cover' ? Math.max(...ratios) : Math.min(...ratios)
  const [width, height] = [picture.width * scale, picture.height * scale]
  const left = ((box.width - width) * focal.x) / 100
  const top = ((box.height - height) * focal.y) / 100
  const [x, y] = [(box.width * focal.x) / 100, (box.height * focal.y) / 100]
  return { width: width * zoom, height: height * zoom, left: x + (left - x) * zoom, top: y + (top - y) * zoom }
}

/**
 * The part of a picture that lies behind a part of its box, in px of the picture; it may reach past its sides. Of a
 * flipped picture it is the part that is seen there the other way round.
 */
export function behind(part: Rect, box: Size, picture: Size, crop: Crop): Rect {
  const drawn = drawnIn(box, picture, crop)
  const across = crop.flip === 'across' || crop.flip === 'both'
  const down = crop.flip === 'down' || crop.flip === 'both'
  const at = {
    left: across ? box.width - part.left - part.width : part.left,
    top: down ? box.height - part.top - part.height : part.top,
  }
  const scale = picture.width / drawn.width
  return {
    left: (at.left - drawn.left) * scale,
    top: (at.top - drawn.top) * scale,
    width: part.width * scale,
    height: part.height * scale,
  }
}
