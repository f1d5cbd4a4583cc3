export const MEMORY: Readonly<Record<string, string>>
