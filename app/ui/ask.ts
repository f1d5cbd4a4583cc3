/** What a request came to: what was asked for, or a sentence that says what is wrong. */
export type Asked<T> = T | { problem: string }

/**
 * Asks the server for JSON. What goes wrong becomes a sentence that is true: the server that is not there, that failed,
 * or that says itself what is wrong.
 * @param failed what has not happened then, as `“boat.png” was not uploaded`
 */
export async function ask<T extends object>(failed: string, url: string, init: RequestInit = {}): Promise<Asked<T>> {
  let response: Response
  try {
    response = await fetch(url, init)
  } catch {
    return { problem: `${failed}: the server cannot be reached.` }
  }
  if (response.status >= 500) return { problem: `${failed}: the server failed while it worked on it (${response.status}).` }
  try {
    return (await response.json()) as Asked<T>
  } catch {
    return { problem: `${failed}: the server’s answer cannot be read (${response.status}).` }
  }
}
