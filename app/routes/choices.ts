import { type WebChoices, webChoicesSchema } from '#core/picture/measured'
import { readJson } from '#server/body'

/** What an export was asked for, in the body of its request; nothing of an empty one. */
export async function choicesOf(request: Request): Promise<WebChoices> {
  if (request.headers.get('Content-Type')?.startsWith('application/json') !== true) return {}
  return webChoicesSchema.parse(await readJson(request))
}
