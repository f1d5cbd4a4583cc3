declare module 'subset-font' {
  /** A font with the characters of a text alone. */
  export default function subsetFont(font: Buffer, text: string, options?: { targetFormat?: 'woff2' | 'sfnt' }): Promise<Uint8Array>
}

declare module 'fontverter' {
  /** A font in another container. */
  export function convert(font: Buffer, toFormat: 'woff2' | 'sfnt'): Promise<Uint8Array>
}
