import { BufferSource, Input, MP4, WEBM } from 'mediabunny'
import { FormatError } from '#core/formats/site-json'
import { MAX_SIDE, type Picture } from '#core/picture/picture'

/** What a video file is: its type, and its size as it is shown, px. */
export type FilmFile = { type: Picture['type']; width: number; height: number }

/** Reads what a video file says of itself. @throws FormatError if it is damaged, or holds no pictures */
export async function readFilmFile({ bytes, name }: { bytes: Uint8Array; name: string }): Promise<FilmFile> {
  try {
    const input = new Input({ formats: [MP4, WEBM], source: new BufferSource(bytes) })
    const format = await input.getFormat()
    const track = await input.getPrimaryVideoTrack()
    if (!track) throw new FormatError(`"${name}" holds sound alone, and no pictures.`)
    const [width, height] = [await track.getDisplayWidth(), await track.getDisplayHeight()]
    if (!(width > 0 && height > 0 && Math.max(width, height) <= MAX_SIDE))
      throw new FormatError(`"${name}" says that it is ${width} × ${height} px, which no video is.`)
    return { type: format === WEBM ? 'video/webm' : 'video/mp4', width: Math.round(width), height: Math.round(height) }
  } catch (error) {
    if (error instanceof FormatError) throw error
    throw new FormatError(`"${name}" is a damaged video, or not MP4 or WebM.`)
  }
}

/** True for bytes that begin as MP4 (ISO 14496-12, 4.3) or WebM (EBML, RFC 8794, 11.2.1) do. */
export const looksLikeFilm = (bytes: Uint8Array): boolean =>
  (bytes[4] === 0x66 && bytes[5] === 0x74 && bytes[6] === 0x79 && bytes[7] === 0x70) ||
  (bytes[0] === 0x1a && bytes[1] === 0x45 && bytes[2] === 0xdf && bytes[3] === 0xa3)
