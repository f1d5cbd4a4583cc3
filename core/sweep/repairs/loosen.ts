import type { StyleValues } from '#core/style/registry'
import type { Remedy, RemedyMaker } from './remedy'

/** A fixed width or height, or a place of its own that is in the way gives way. */
export const loosen: RemedyMaker = ({ finding: { kind }, block, values, around }) => {
  if (kind === 'focusCropped' && values.focal)
    return [{ label: 'Crop about its focal point', block: block.id, values: { focal: null } }]
  if (kind === 'highSticky') return [{ label: 'Let it scroll away', block: block.id, values: { position: 'flow' as const } }]
  if (kind === 'overWindow') return [{ label: 'As high as it needs', block: block.id, values: { height: null, minHeight: null } }]
  if (kind === 'secondLine' && (values.width ?? values.maxWidth))
    return [{ label: 'As wide as its words', block: block.id, values: { width: null, maxWidth: null } }]
  return [{ block, values }, ...around].flatMap(({ block: { id }, values: own }) => fixed(id, own))
}

const fixed = (block: string, { width, height, aspect, spaceBefore }: StyleValues): Remedy[] => [
  ...(width ? [{ label: 'As wide as there is room', block, values: { width: null, maxWidth: width } }] : []),
  ...(height ? [{ label: 'As high as it needs', block, values: { height: null, minHeight: height } }] : []),
  ...(aspect ? [{ label: 'As high as it needs, in no ratio', block, values: { aspect: null } }] : []),
  ...(spaceBefore && 'value' in spaceBefore && spaceBefore.value < 0
    ? [{ label: 'Without the pull upwards', block, values: { spaceBefore: null } }]
    : []),
]
