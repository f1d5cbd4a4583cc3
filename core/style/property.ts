import type { z } from 'zod'
import type { ViewportUnit } from './css-values'
import type { FillPicture } from './fill-layers'
import type { Trait, Traits } from './traits'

export type Layout = 'grid' | 'row' | 'column' | 'overlay'

/** Columns of the tray, by the question that they answer. */
export type TrayColumn = 'place' | 'type' | 'surface' | 'picture' | 'states' | 'motion'

/** Where a block stands at one range of widths: what its properties may depend on. */
export type Setting = {
  traits: Traits
  /** Layout of the group or section around it. */
  parent: Layout
  /** Its own layout, if it holds blocks. */
  layout: Layout
  /** Columns that the parent offers. */
  columns: number
  /** True where it stands in a section itself, on the columns of the page. */
  inSection: boolean
  viewportUnit: ViewportUnit
  /** Where the pictures of fills are found. */
  picture?: FillPicture | undefined
}

/** One CSS declaration. */
export type Declaration = readonly [property: string, value: string]

/** Blocks that a property applies to: those with one of the traits, or every one. */
export type Applies = readonly Trait[] | 'all'

export type Property<S extends z.ZodType> = {
  /** Its name in the interface, sentence case. */
  label: string
  column: TrayColumn
  schema: S
  applies: Applies
  /** What kind of value of the style guide it takes, where it is a length: those are counted and gathered by their kind. */
  measures?: 'space' | 'corner' | 'size'
  /** The least figure of a length, where one below it means nothing. */
  least?: number
  /** True where it says where a block stands in what holds it: that is each copy's own of a shared block. */
  placing?: boolean
  /** True where it may differ on hover. */
  onHover?: boolean
  css: (value: z.output<S>, at: Setting) => Declaration[]
}

/** Ties the type of a property's `css` to its schema. */
export const property = <S extends z.ZodType>(definition: Property<S>): Property<S> => definition
