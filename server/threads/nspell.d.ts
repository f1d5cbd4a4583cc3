declare module 'nspell' {
  type Dictionary = { aff: Uint8Array; dic: Uint8Array }
  /** A checker of spelling out of a Hunspell dictionary. */
  export default function nspell(dictionary: Dictionary): {
    correct: (word: string) => boolean
    suggest: (word: string) => string[]
  }
}
declare module 'dictionary-*' {
  const dictionary: { aff: Uint8Array; dic: Uint8Array }
  export default dictionary
}
