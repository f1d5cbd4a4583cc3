import { FormatError } from '#core/formats/site-json'
import { readForm } from '#server/body'
import { store } from '#server/database'
import { MAX_FONT } from '#core/type/own-font'
import { storeFont } from '#server/fonts'
import { getSite } from '#server/sites'
import type { Route } from './+types/upload-font'
import { answering } from './answers'

/** Keeps one uploaded font and answers what its tables say of it. It joins the site by an edit of its own. */
export function action({ request, params }: Route.ActionArgs) {
  return answering(async () => {
    getSite(store(), params.siteId)
    const file = (await readForm(request, MAX_FONT, 'The font')).get('font')
    if (!(file instanceof File)) throw new FormatError('The request holds no font.')
    return Response.json(await storeFont(store(), new Uint8Array(await file.arrayBuffer()), file.name))
  })
}
