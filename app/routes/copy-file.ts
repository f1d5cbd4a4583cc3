import { FormatError } from '#core/formats/site-json'
import { readCopyFile } from '#server/copy-file'
import type { Route } from './+types/copy-file'
import { answering } from './answers'

/** Reads a document of copy (.md, .txt, .docx) and answers its Markdown. Nothing is kept. */
export function action({ request }: Route.ActionArgs) {
  return answering(async () => {
    const file = (await request.formData()).get('file')
    if (!(file instanceof File)) throw new FormatError('The request holds no file.')
    return Response.json({ text: await readCopyFile(new Uint8Array(await file.arrayBuffer()), file.name) })
  })
}
