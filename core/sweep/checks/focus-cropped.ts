import { cropPosition, isSeen, seenPart } from '#core/picture/crop-position'
import { turned } from '#core/picture/picture'
import { type Mark, seen, type WidthCheck } from '../check'
import { calledFirst } from '#core/blocks/called'
import { heightOf, widthOf } from '../reading'

/** Pictures whose focal point is cropped away where they are placed. */
export const focusCropped: WidthCheck = {
  fault: true,
  *find(at): Generator<Mark> {
    for (const { id, read, fact } of seen(at)) {
      if (fact.block.kind !== 'picture') continue
      const { picture: chosen, turn } = fact.block
      const own = at.pictures.find((one) => one.id === chosen)
      const values = fact.values[at.range]!
      if (!own?.focal || values.fit === 'contain') continue
      const picture = turned(own, turn)
      const box = { width: widthOf(read.box), height: heightOf(read.box) }
      if (box.width === 0 || box.height === 0) continue
      const part = seenPart(picture, box, values.focal ?? cropPosition(picture) ?? { x: 50, y: 50 })
      if (!isSeen(picture.focal!, part)) yield { block: id, by: 100 - (part.width * part.height) / 100 }
    }
  },
  say: ({ fact, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} loses its focal point to the crop.`,
    why: `At ${width} px ${Math.round(by)} % of the picture is cropped, and the point that it is about is among that.`,
  }),
}
