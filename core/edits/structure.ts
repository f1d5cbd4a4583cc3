import { type Block, mayHold } from '#core/blocks/index'
import type { Site } from '#core/site/schema'
import { walk } from '#core/blocks/tree'
import { isReserved } from '#core/site/address'
import { EditError } from './edit'
import { type Holder } from './places'

/** Groups may be nested this deep, so that no document can exhaust the stack. */
const MAX_DEPTH = 24

/** Checks that a holder may take blocks: their kinds, and the depth that they bring. Throws an `EditError`. */
export function checkHolds(holder: Holder, blocks: readonly Block[]): void {
  for (const block of blocks) {
    if ('page' in holder) {
      if (block.kind !== 'section') throw new EditError(`A page holds sections; a ${block.kind} stands inside one.`)
      continue
    }
    const { block: container, path } = holder.container
    checkForms(block, container.kind === 'form' || holder.container.ancestors.some((one) => one.kind === 'form'))
    if (!mayHold(container.kind, block.kind)) throw new EditError(`A ${container.kind} cannot hold a ${block.kind}.`)
    if (path.length + depthOf(block) > MAX_DEPTH) throw new EditError(`Blocks may stand ${MAX_DEPTH} deep at most.`)
  }
}

/** A form inside a form cannot be sent on its own (HTML, 4.10.3), so none is made. */
function checkForms(block: Block, inForm: boolean): void {
  if (block.kind === 'form' && inForm) throw new EditError('A form cannot stand in a form.')
  if (!('children' in block)) return
  for (const child of block.children as Block[]) checkForms(child, inForm || block.kind === 'form')
}

function depthOf(block: Block): number {
  return 'children' in block ? 1 + Math.max(0, ...block.children.map(depthOf)) : 1
}

/** Checks what stands in a section, or in a block that is put into one: its kinds, forms, and how deep. @throws EditError */
export function checkInside(root: Block): void {
  if (depthOf(root) > MAX_DEPTH) throw new EditError(`Blocks may stand ${MAX_DEPTH} deep at most.`)
  checkForms(root, false)
  for (const block of walk(root)) {
    if (!('children' in block)) continue
    for (const child of block.children as Block[]) {
      if (!mayHold(block.kind, child.kind)) throw new EditError(`A ${block.kind} cannot hold a ${child.kind}.`)
    }
  }
}

/** Checks that no other page has an address, and that it is not kept for something else. @throws EditError */
export function checkAddress(site: Site, address: string, except?: string): void {
  if (isReserved(address)) throw new EditError(`The address "/${address}" is kept for something else. Choose another.`)
  const taken = site.pages.find((page) => page.address === address && page.id !== except)
  if (taken) throw new EditError(`The page "${taken.name}" already has the address "/${address}".`)
}
