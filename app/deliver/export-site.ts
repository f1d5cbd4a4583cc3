import type { WebChoices } from '#core/picture/measured'
import { download } from '../files/download'

type Progress = { made: number; of: number }

/** Lines of JSON out of a stream, as they arrive. */
async function* linesOf(body: ReadableStream<Uint8Array>): AsyncGenerator<Progress> {
  const reader = body.pipeThrough(new TextDecoderStream() as ReadableWritablePair<string, Uint8Array>).getReader()
  let rest = ''
  for (;;) {
    const { done, value } = await reader.read()
    if (done) return
    const lines = (rest + value).split('\n')
    rest = lines.pop()!
    for (const line of lines) yield JSON.parse(line) as Progress
  }
}

/**
 * Makes the pictures of a site, telling how many there are, and saves its export as a zip.
 * @throws an AbortError if it is cancelled, or a sentence that says what went wrong
 */
export async function exportSite(
  siteId: string,
  style: 'readable' | 'minified',
  choices: WebChoices,
  onProgress: (progress: Progress) => void,
  signal: AbortSignal,
): Promise<void> {
  const asked = (): RequestInit => ({
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(choices),
    signal,
  })
  const pictures = await fetch(`/sites/${siteId}/export/pictures`, asked())
  if (!pictures.ok || !pictures.body) throw new Error(await sentenceOf(pictures))
  for await (const progress of linesOf(pictures.body)) onProgress(progress)
  const response = await fetch(`/sites/${siteId}/as/web?style=${style}`, asked())
  if (!response.ok) throw new Error(await sentenceOf(response))
  const name = /filename="([^"]+)"/.exec(response.headers.get('Content-Disposition') ?? '')?.[1] ?? 'site.zip'
  download(await response.blob(), name)
}

async function sentenceOf(response: Response): Promise<string> {
  if (response.status >= 500) return 'The server could not make it.'
  const answer = (await response.json().catch(() => ({}))) as { problem?: string }
  return answer.problem ?? `The server answered ${response.status}.`
}
