import { EMPTY_PAGE_BRIEF, EMPTY_SITE_BRIEF } from '#core/site/brief'

type Document = Record<string, unknown>

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
}

/** Brings a document to the present version, one step at a time. */
export function upgrade(document: Document): Document {
  const step = STEPS[document.version as number]
  return step ? upgrade(step(document)) : document
}
