type Document = Record<string, unknown>

/**
 * Steps that bring a file from one version of the format to the next, by the version that they start from.
 * The first version has nothing before it.
 */
const STEPS: Partial<Record<number, (document: Document) => Document>> = {}

/** Brings a document to the present version, one step at a time. */
export function upgrade(document: Document): Document {
  const step = STEPS[document.version as number]
  return step ? upgrade(step(document)) : document
}
