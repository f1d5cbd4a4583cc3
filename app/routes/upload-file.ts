import { FormatError } from '#core/formats/site-json'
import { MAX_FILE } from '#core/site/linked-file'
import { readForm } from '#server/body'
import { store } from '#server/database'
import { storeFile } from '#server/linked-files'
import { getSite } from '#server/sites'
import type { Route } from './+types/upload-file'
import { answering } from './answers'

/** Keeps one uploaded file that links are to lead to. It joins the site by an edit of its own. */
export function action({ request, params }: Route.ActionArgs) {
  return answering(async () => {
    getSite(store(), params.siteId)
    const file = (await readForm(request, MAX_FILE, 'The file')).get('file')
    if (!(file instanceof File)) throw new FormatError('The request holds no file.')
    return Response.json(await storeFile(store(), new Uint8Array(await file.arrayBuffer()), file.name))
  })
}
