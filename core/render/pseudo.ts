/** The states that visitors bring about, as pseudo-classes (Selectors 4, 9 and 12). */
export const PSEUDO = {
  // What has the focus of the keyboard looks as under the pointer.
  hover: ':is(:hover, :focus-visible)',
  /** Of what holds something that takes the focus. */
  hoverInside: ':is(:hover, :focus-within)',
  focus: ':focus-visible',
  focusInside: ':focus-within',
  pressed: ':active',
  disabled: ':disabled',
} as const
