/** Button and link texts that say nothing of where they lead (WCAG 2.2, technique F84). */
const VAGUE = /^(submit|click( here)?|here|more|read more|learn more|go|ok|send|continue|next|link|button|details)[.!…]?$/i

/** True for the name of a button or link that says nothing of where it leads. */
export const isVague = (name: string): boolean => VAGUE.test(name)
