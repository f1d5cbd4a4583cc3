import { z } from 'zod'
import type { Group } from './group'
import type { Block } from './index'

/** Where a group is seen that is seen only once it is asked for: under its first block, its button, mid-window, or over all. */
export const PANELS = ['details', 'drop', 'dialog', 'cover'] as const
export const panelSchema = z.enum(PANELS)
export type Panel = z.infer<typeof panelSchema>

/** True for a group that a button opens. */
export const isOpened = (block: Block): boolean => block.kind === 'group' && block.panel !== undefined && block.panel !== 'details'

/** True for a group that shows one of its blocks at a time; one that is itself only seen when asked for shows all of them. */
export const showsOne = (block: Block): block is Group => block.kind === 'group' && block.oneShown === true && !block.panel

/** The class of blocks of which one is shown, and those that lie over the page. */
export const ONE_SHOWN = 'one-shown'
export const OVER = 'over'
