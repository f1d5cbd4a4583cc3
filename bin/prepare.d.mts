/** What of `prepare.mjs` TypeScript reads. */
export const ROOT: string
export const KEPT: string
export function digest(paths: readonly string[]): string
export function findChromium(): string | undefined
