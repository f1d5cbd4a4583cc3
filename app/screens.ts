/**
 * The screens that work on one page of a site, by the last part of their address; each is `routes/NAME.tsx`. Routes, tests
 * and measurements read this list.
 */
export const PAGE_SCREENS = ['brief', 'copy', 'references', 'compose', 'style', 'check', 'play', 'deliver', 'inbox'] as const
