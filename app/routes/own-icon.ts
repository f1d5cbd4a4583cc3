import { FormatError } from '#core/formats/site-json'
import { MAX_SVG } from '#core/formats/svg'
import { readForm } from '#server/body'
import { ownIcon } from '#server/own-icon'
import type { Route } from './+types/own-icon'
import { answering } from './answers'

/** An uploaded SVG as an icon. It joins the site by an edit of its own. */
export function action({ request }: Route.ActionArgs) {
  return answering(async () => {
    const file = (await readForm(request, MAX_SVG, 'The icon')).get('icon')
    if (!(file instanceof File)) throw new FormatError('The request holds no icon.')
    return Response.json(await ownIcon(new Uint8Array(await file.arrayBuffer()), file.name))
  })
}
