import type { z } from 'zod'
import type { Site } from '#core/site/schema'

/** An edit that cannot be applied. The message says what and where, for the person who made it. */
export class EditError extends Error {
  override name = 'EditError'
}

/** A change of a site: a small JSON value of one kind. */
export type AnyEdit = { kind: string }

export type Applied<I extends AnyEdit> = { site: Site; inverse: I }

/** What an edit gives new values to: the thing, and which of its values. */
export type Setting = { of: string; names: readonly string[] }

/** Choices for a sample, as they follow from a seed. */
export type Chooser = {
  /** A whole number from 0 up to, not including, `below`. */
  number: (below: number) => number
  one: <T>(list: readonly T[]) => T
  id: () => string
}

/**
 * One kind of edit: all that there is to say of it, in a file of its own. `E` is the edit, `I` what takes it back.
 * `core/edits/index` lists the kinds.
 */
export type EditKind<E extends AnyEdit, I extends AnyEdit = E> = {
  kind: E['kind']
  schema: z.ZodType<E>
  /**
   * Gives the changed site and the edit that takes the change back. It is pure.
   * @throws EditError if the edit does not apply; nothing is changed then
   */
  apply: (site: Site, edit: E) => Applied<I>
  /**
   * What the edit only gives new values to; `undefined` if it adds, takes out or moves something. A later edit that
   * sets all that an earlier one set leaves nothing of it, so that the two may be one.
   */
  sets?: (edit: E) => Setting | undefined
  /** Names the change, for undo: “Undo move of Heading”. */
  label: (edit: E) => string
  /** An edit of this kind on a site, for tests of all kinds; the site may refuse it. */
  sample: (site: Site, choose: Chooser) => E
}
