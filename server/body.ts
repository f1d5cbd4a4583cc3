import { FormatError } from '#core/formats/site-json'
import { joined } from '#core/values/bytes'
import { nestingOf } from '#core/values/nesting'
import { limitInWords } from '#core/values/weight'

/** A request that weighs more than it may; it is not read further. */
export class TooLargeError extends Error {
  override name = 'TooLargeError'
}

/** A request whose body is not of the media type that is read. */
export class MediaTypeError extends Error {
  override name = 'MediaTypeError'
}

/** How much more than it may weigh is still read of a body, bytes: an answer before its end would not be heard. */
const HEARD_OUT = 4 * 1024 * 1024

/**
 * Reads a body, counted while it arrives.
 * @param most bytes that it may weigh
 * @param what is sent, for the sentence: “The picture”
 * @param around bytes that stand around it besides, as in a form
 * @throws TooLargeError; little more is read to its end, and much more no further
 */
export async function readBody(request: Request, most: number, what: string, around = 0): Promise<Uint8Array<ArrayBuffer>> {
  const refuse = () => new TooLargeError(`${what} is too large: it may weigh ${limitInWords(most)} at most.`)
  const said = Number(request.headers.get('Content-Length') ?? 0)
  if (said > most + around + HEARD_OUT) throw refuse()
  const parts: Uint8Array[] = []
  let weight = 0
  const reader = request.body?.getReader()
  if (reader) {
    for (let part = await reader.read(); !part.done; part = await reader.read()) {
      weight += part.value.length
      if (weight > most + around + HEARD_OUT) {
        await reader.cancel().catch(() => undefined)
        throw refuse()
      }
      if (weight <= most + around) parts.push(part.value)
    }
  }
  if (weight > most + around) throw refuse()
  return joined(parts)
}

/** What stands around a file in a form, bytes. */
const AROUND = 64 * 1024

/** Reads a form with at most one file in it. @throws TooLargeError; FormatError if it is no form */
export async function readForm(request: Request, most: number, what: string): Promise<FormData> {
  const type = request.headers.get('Content-Type') ?? ''
  if (!/^(multipart\/form-data|application\/x-www-form-urlencoded)\b/i.test(type))
    throw new MediaTypeError('The request is no form.')
  const bytes = await readBody(request, most, what, AROUND)
  try {
    return await new Response(bytes, { headers: { 'Content-Type': type } }).formData()
  } catch {
    throw new FormatError('The request is a form that cannot be read.')
  }
}

/** Most that the body of a request in JSON may weigh, bytes. */
export const MAX_JSON = 8 * 1024 * 1024
/** Deepest nesting of objects and lists in it. */
export const MAX_NESTING = 120

/** Reads a JSON body. @throws TooLargeError, MediaTypeError, or FormatError if it is not JSON */
export async function readJson(request: Request): Promise<unknown> {
  // Another page may send plain text and forms without being asked for leave, but no JSON (Fetch, CORS-safelisted request-header).
  if (!/^application\/json\b/i.test(request.headers.get('Content-Type') ?? ''))
    throw new MediaTypeError('The request must be JSON, as application/json.')
  const text = new TextDecoder().decode(await readBody(request, MAX_JSON, 'The request'))
  if (nestingOf(text) > MAX_NESTING) throw new FormatError(`The request is nested more than ${MAX_NESTING} deep.`)
  try {
    return JSON.parse(text)
  } catch {
    throw new FormatError('The request is not JSON.')
  }
}
