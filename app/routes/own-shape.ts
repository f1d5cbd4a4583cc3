import { FormatError } from '#core/formats/site-json'
import { MAX_SVG } from '#core/formats/svg'
import { readForm } from '#server/body'
import { ownShape } from '#server/own-shape'
import type { Route } from './+types/own-shape'
import { answering } from './answers'

/** An uploaded SVG as a drawing with colours that can be changed. It joins the site by an edit of its own. */
export function action({ request }: Route.ActionArgs) {
  return answering(async () => {
    const file = (await readForm(request, MAX_SVG, 'The drawing')).get('shape')
    if (!(file instanceof File)) throw new FormatError('The request holds no drawing.')
    return Response.json(await ownShape(new Uint8Array(await file.arrayBuffer()), file.name))
  })
}
