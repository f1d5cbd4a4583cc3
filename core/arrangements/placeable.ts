import type { Link } from '#core/values/link'
import type { Role } from '#core/values/passage-role'
import type { Words } from '#core/values/words'

/** Words that are to be placed, in every language that they have. */
export type Placeable = {
  role: Role
  entry: number
  words: Words
  link?: Link
  /** For an item: true in a list with numbers. */
  ordered?: true
  /** For a call: true where it stands beside the one before it. */
  beside?: true
  /** For a link of a header: true where it belongs into the nav, false for the name. */
  inNav?: boolean
}
