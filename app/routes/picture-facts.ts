import { store } from '#server/database'
import { pictureFacts } from '#server/picture-facts'
import { MissingError } from '#server/sites'
import type { Route } from './+types/picture-facts'
import { answering, FOREVER } from './answers'

/** What can be told of a picture from its file: weight, colours, sharpness. */
export function loader({ params }: Route.LoaderArgs) {
  return answering(async () => {
    const facts = /^[0-9a-f]{64}$/.test(params.hash) ? await pictureFacts(store(), params.hash) : undefined
    if (!facts) throw new MissingError('There is no such picture.')
    return Response.json(facts, { headers: FOREVER })
  })
}
