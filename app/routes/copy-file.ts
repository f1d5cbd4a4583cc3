import { FormatError } from '#core/formats/site-json'
import { readForm } from '#server/body'
import { isDocx, MAX_COPY, readCopyFile } from '#server/copy-file'
import type { Route } from './+types/copy-file'
import { answering } from './answers'

/** Reads a document of copy (.md, .txt, .docx) and answers its Markdown, and whether it was another's format. Nothing is kept. */
export function action({ request }: Route.ActionArgs) {
  return answering(async () => {
    const file = (await readForm(request, MAX_COPY.docx, 'The file')).get('file')
    if (!(file instanceof File)) throw new FormatError('The request holds no file.')
    const bytes = new Uint8Array(await file.arrayBuffer())
    return Response.json({ text: await readCopyFile(bytes, file.name), foreign: isDocx(bytes, file.name) })
  })
}
