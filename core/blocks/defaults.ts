import type { BlockKind } from '#core/site/kinds'
import type { MakeId } from '#core/site/ids'
import type { Block, BlockOf, Section } from '#core/site/schema'
import { token } from '#core/style/values'
import type { JOBS } from './kinds'

type Job = (typeof JOBS)[number]

const SPACE_AFTER: Partial<Record<BlockKind, string>> = {
  eyebrow: 'space-3',
  heading: 'space-4',
  text: 'space-5',
  quote: 'space-3',
  field: 'space-4',
  button: 'space-4',
  list: 'space-5',
}

/** An icon that a new icon block shows until another is chosen: a star. */
const STAR: BlockOf<'icon'>['icon'] = {
  name: 'star',
  nodes: [['polygon', { points: '12 2 15.1 8.3 22 9.3 17 14.1 18.2 21 12 17.8 5.8 21 7 14.1 2 9.3 8.9 8.3 12 2' }]],
}

const FIELDS: { [K in BlockKind]: (makeId: MakeId) => Partial<BlockOf<K>> } = {
  section: () => ({ job: 'reasons', children: [] }),
  group: () => ({ children: [] }),
  eyebrow: () => ({ words: {} }),
  heading: () => ({ words: {}, level: 2 }),
  text: () => ({ words: {} }),
  quote: () => ({ words: {} }),
  button: () => ({ words: {}, look: 'primary' }),
  picture: () => ({}),
  icon: () => ({ icon: STAR, size: 32 }),
  list: (makeId) => ({ ordered: false, children: [newBlock('item', makeId)] }),
  item: () => ({ words: {} }),
  divider: () => ({}),
  nav: (makeId) => ({
    label: {},
    children: [newBlock('link', makeId)],
    style: { base: { gap: token('space-5'), rowGap: token('space-2'), wrap: true } },
  }),
  link: () => ({ words: {} }),
  form: (makeId) => ({ children: [newBlock('field', makeId), newBlock('button', makeId)] }),
  field: () => ({ words: {}, input: 'email', required: true }),
}

/** A new block of a kind, without words, as it is put on the page. */
export function newBlock<K extends BlockKind>(kind: K, makeId: MakeId): BlockOf<K> {
  const space = SPACE_AFTER[kind]
  const style = space ? { base: { spaceAfter: token(space) } } : {}
  return { id: makeId(), kind, style, ...FIELDS[kind](makeId) } as unknown as BlockOf<K>
}

/** A new section for a job, with air above and below. */
export function newSection(job: Job, makeId: MakeId): Section {
  const air = job === 'header' || job === 'footer' ? 'space-5' : 'space-8'
  return {
    ...newBlock('section', makeId),
    job,
    style: { base: { paddingTop: token(air), paddingBottom: token(air) } },
  }
}

/** The block that Enter makes after one that takes words: another item or link, or a text. */
export function nextBlock(block: Block, makeId: MakeId): Block {
  return newBlock(block.kind === 'item' || block.kind === 'link' ? block.kind : 'text', makeId)
}
