import { EMPTY_PAGE_BRIEF, EMPTY_SITE_BRIEF } from '#core/site/brief'
import { DEFAULT_GUIDE, FIRST_DIRECTION } from '#core/site/defaults'

type Document = Record<string, unknown>

type Named = { role?: string; face?: string }

/** A guide of version 2 with what version 3 asks for besides; what it says of its own stays as it is. */
function guideOf3(guide: Document): Document {
  const { scale, leading, baseline, light, looks } = DEFAULT_GUIDE
  const types = Array.isArray(guide.types) ? (guide.types as Named[]) : []
  const colours = Array.isArray(guide.colours) ? (guide.colours as Named[]) : []
  const missing = (now: Named[], all: readonly Named[]) => all.filter((one) => !now.some(({ role }) => role === one.role))
  const faces = (Array.isArray(guide.faces) ? guide.faces : []) as { name?: string }[]
  const faceFor = (face: string | undefined) => (faces.some((one) => one.name === face) ? face : faces[0]?.name)
  return {
    ...guide,
    scale,
    leading,
    baseline,
    light,
    looks,
    colours: [...colours, ...missing(colours, DEFAULT_GUIDE.colours)],
    types: [...types, ...missing(types, DEFAULT_GUIDE.types).map((one) => ({ ...one, face: faceFor(one.face) }))],
    // The least height that can be hit was not asked for: none of these buttons changes.
    buttons: Array.isArray(guide.buttons) ? guide.buttons.map((one: unknown) => ({ ...(one as object), hit: 24 })) : guide.buttons,
  }
}

/**
 * Steps that bring a file from one version of the format to the next, by the version that they start from.
 */
const STEPS: Partial<Record<number, (document: Document) => Document>> = {
  // Version 2 brought the brief, the words that stand on no page, and the references board.
  1: (document) => ({
    ...document,
    version: 2,
    brief: EMPTY_SITE_BRIEF,
    unplaced: [],
    board: [],
    pages: Array.isArray(document.pages)
      ? document.pages.map((page: unknown) => ({ ...(page as object), brief: EMPTY_PAGE_BRIEF }))
      : document.pages,
  }),
  // Version 3 brought directions, own fonts, and a style guide with a scale, a light and looks.
  2: (document) => ({
    ...document,
    version: 3,
    guide: typeof document.guide === 'object' && document.guide ? guideOf3(document.guide as Document) : document.guide,
    directions: [FIRST_DIRECTION],
    fonts: [],
  }),
}

/** Brings a document to the present version, one step at a time. */
export function upgrade(document: Document): Document {
  const step = STEPS[document.version as number]
  return step ? upgrade(step(document)) : document
}
