import { type Block, BLOCK_KINDS, type Container } from '#core/blocks/index'
import { newBlock } from '#core/blocks/defaults'
import { isContainer } from '#core/blocks/tree'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import type { Chooser } from './edit'

/** What samples of edits are made of. */
export const blocksOn = (site: Site): Block[] => site.pages.flatMap((page) => [...walkPage(page)])
export const containersOn = (site: Site): Container[] => blocksOn(site).filter(isContainer)
/** The id of a block; one that no block has where there are none. */
export const aBlock = (site: Site, choose: Chooser, wanted: (block: Block) => boolean = () => true): string => {
  const blocks = blocksOn(site).filter(wanted)
  return blocks.length > 0 ? choose.one(blocks).id : 'none'
}
export const sampleBlock = (choose: Chooser): Block => newBlock(choose.one(BLOCK_KINDS), choose.id)
export const sampleHex = (choose: Chooser): string => `#${choose.number(0xffffff).toString(16).padStart(6, '0').toUpperCase()}`
