/**
 * What a kind of block is like. Properties, checks and the tray ask for a trait and never for a kind, so that a new kind
 * says in its own file what holds for it.
 */
export const TRAITS = [
  /** Stands in a section, a group or a form, among other blocks. */
  'flow',
  /** Lays out the blocks that it holds. */
  'layout',
  /** May lay them out on columns of its own. */
  'columns',
  /** The outermost block, on the columns of the page. */
  'band',
  /** May have padding at its sides. */
  'sides',
  /** Has lines of words whose edges can be aligned. */
  'aligned',
  /** Has words that are set in a face and a size. */
  'type',
  /** Has a colour of its own for words or strokes. */
  'ink',
  /** Has a box with a fill, an edge, corners and a shadow. */
  'box',
  /** Is nothing but a line. */
  'line',
  /** Its box may be filled in several layers. */
  'layers',
  /** May stand on the ground with a shadow under it. */
  'contact',
  /** Its words may be underlined. */
  'underline',
  /** May have an icon beside or above its words. */
  'icon',
  /** May keep a ratio of width to height. */
  'ratio',
  /** A drawing that is as wide as its place. */
  'drawing',
  /** Shows a picture, with a crop and a scrim. */
  'image',
  /** A call to action: its colours are those of calls. */
  'call',
  /** Rows of cells, which may scroll or stack where there is little room. */
  'rows',
  /** Answers to the pointer as a whole, whatever in it has the focus. */
  'whole',
] as const

export type Trait = (typeof TRAITS)[number]
export type Traits = ReadonlySet<Trait>
