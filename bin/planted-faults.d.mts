export const FAULTS: { what: string; file: string; from: string; to: string; spec: string; test: string }[]
