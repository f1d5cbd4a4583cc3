const KB = 1024
const MB = 1024 * KB

/** What something weighs, in words: “4.2 MB”. @param bytes from 0 up */
export const weightInWords = (bytes: number): string => `${(bytes / MB).toFixed(1)} MB`

/** A weight to the kilobyte, in words: “1,204 kB”. @param bytes from 0 up */
export const kilobytes = (bytes: number): string => `${Math.round(bytes / KB).toLocaleString('en-GB')} kB`

/** What something may weigh at most, in words: “30 MB”, “64 kB”. @param bytes from 0 up */
export const limitInWords = (bytes: number): string =>
  bytes < MB ? `${Math.round(bytes / KB)} kB` : `${Number((bytes / MB).toFixed(1))} MB`
