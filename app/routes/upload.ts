import { FormatError } from '#core/formats/site-json'
import { readForm } from '#server/body'
import { store } from '#server/database'
import { MAX_PICTURE } from '#core/picture/picture'
import { storePicture } from '#server/pictures'
import { getSite } from '#server/sites'
import type { Route } from './+types/upload'
import { answering } from './answers'

/** Keeps one uploaded picture and answers what it is. It joins the site by an edit of its own. */
export function action({ request, params }: Route.ActionArgs) {
  return answering(async () => {
    getSite(store(), params.siteId)
    const file = (await readForm(request, MAX_PICTURE, 'The picture')).get('picture')
    if (!(file instanceof File)) throw new FormatError('The request holds no picture.')
    const stored = await storePicture(store(), new Uint8Array(await file.arrayBuffer()), file.name)
    return Response.json({ ...stored, name: file.name.slice(0, 200) || 'Picture' })
  })
}
