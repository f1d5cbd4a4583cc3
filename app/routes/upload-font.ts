import { FormatError } from '#core/formats/site-json'
import { store } from '#server/database'
import { MAX_FONT, storeFont } from '#server/fonts'
import { getSite } from '#server/sites'
import type { Route } from './+types/upload-font'
import { answering } from './answers'

/** Keeps one uploaded font and answers what its tables say of it. It joins the site by an edit of its own. */
export function action({ request, params }: Route.ActionArgs) {
  return answering(async () => {
    getSite(store(), params.siteId)
    const weight = Number(request.headers.get('content-length') ?? 0)
    if (weight > MAX_FONT + 64 * 1024)
      throw new FormatError(`The font weighs ${(weight / 1024 / 1024).toFixed(1)} MB. A font may weigh 8 MB at most.`)
    const file = (await request.formData()).get('font')
    if (!(file instanceof File)) throw new FormatError('The request holds no font.')
    return Response.json(await storeFont(store(), new Uint8Array(await file.arrayBuffer()), file.name))
  })
}
