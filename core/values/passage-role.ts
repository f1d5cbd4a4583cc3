/** What a passage, a stretch of words in the copy deck, is: the kind of slot that it is meant for. */
export const ROLES = ['eyebrow', 'heading', 'text', 'item', 'call', 'link', 'quote', 'source', 'price', 'term', 'label'] as const
export type Role = (typeof ROLES)[number]
