import type { State, StateColours, Use } from '#core/guide/looks'
import type { Colour } from '#core/values/colour'

/** The colours that a block takes from the style guide, by its kind of button, its card, or its look as a field or link. */
export type GuideColours = {
  /** Colours by state, for what can be pressed or filled in. */
  states?: Partial<Record<State, StateColours>>
  /** True where those are of a box apart from the block's words, as that of a field under its label. */
  apart?: true
  /** Ground and ink of what it holds, for cards. */
  fill?: Colour
  ink?: Colour
  /** Other colours, each with what it is for. */
  others?: readonly { colour: Colour | undefined; use: Use; what: string }[]
}

/** The states that a look has, out of the guide's kind of button or its like. */
export const statesOf = (look: Partial<Record<State, StateColours | undefined>>): GuideColours => ({
  states: look as GuideColours['states'] & object,
})
