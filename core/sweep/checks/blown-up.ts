import { drawnIn } from '#core/legibility/crop'
import { turned } from '#core/picture/picture'
import { type Mark, seen, type WidthCheck } from '../check'
import { calledFirst } from '#core/blocks/called'
import { heightOf, widthOf } from '../reading'

/** How much larger than its own px a picture may be drawn. */
const MOST = 1.02

/** Pictures that are shown larger than they are. */
export const blownUp: WidthCheck = {
  fault: false,
  *find(at): Generator<Mark> {
    for (const { id, read, fact } of seen(at)) {
      if (fact.block.kind !== 'picture') continue
      const { picture: chosen, turn } = fact.block
      const own = at.pictures.find((one) => one.id === chosen)
      if (!own || own.type === 'image/svg+xml') continue
      const { fit = 'cover', zoom } = fact.values[at.range]!
      const picture = turned(own, turn)
      const box = { width: widthOf(read.box), height: heightOf(read.box) }
      const drawn = drawnIn(box, picture, { fit, focal: { x: 50, y: 50 }, ...(zoom ? { zoom } : {}) })
      const by = drawn.width / picture.width
      if (by > MOST) yield { block: id, by }
    }
  },
  say: ({ fact, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} is drawn at ${Math.round(by * 100)} % of its own size.`,
    why: `At ${width} px its place is larger than the picture, so it is blurred.`,
  }),
}
