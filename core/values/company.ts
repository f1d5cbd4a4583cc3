/** Where somebody works: a page, and a block of it if one is selected. */
export type WorkingAt = { page: string; block: string | null }

/** Somebody who has a screen of a site open, by the id that the screen made for itself. */
export type Present = WorkingAt & { tab: string }

/** What open screens are told: that the site has a new revision, or who is present. */
export type News = { kind: 'revision'; revision: number } | { kind: 'present'; present: Present[] }
