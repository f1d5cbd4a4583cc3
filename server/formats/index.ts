import { slug } from '#core/render/names'
import type { WebChoices } from '#core/picture/measured'
import type { Store } from '../database'
import { getSite, MissingError } from '../sites'
import { cssPropertiesFormat } from './css-properties'
import { designTokensFormat } from './design-tokens'
import type { Format } from './format'
import { siteJson } from './site-json'
import { siteZip } from './site-zip'
import { web } from './web'

/** Every format that a site is written to, by its name in the address `/sites/<id>/as/<name>`. */
const FORMATS = {
  'site-zip': siteZip,
  'site-json': siteJson,
  web,
  tokens: designTokensFormat,
  css: cssPropertiesFormat,
} satisfies Record<string, Format>

export type FormatName = keyof typeof FORMATS
const isFormat = (name: string): name is FormatName => Object.hasOwn(FORMATS, name)

/**
 * Opens a file, in whichever format it is, as a new site.
 * @returns its id
 * @throws FormatError
 */
export function openFile(store: Store, bytes: Uint8Array): Promise<string> {
  const formats: Format[] = Object.values(FORMATS)
  return formats.find(({ read }) => read?.isOf(bytes))!.read!.open(store, bytes)
}

/** A site in one format, as a file. */
type Written = { bytes: string | Uint8Array<ArrayBuffer>; type: string; file: string }

async function written(
  store: Store,
  id: string,
  name: string,
  query: URLSearchParams,
  choices?: WebChoices,
): Promise<Written & { note: () => void }> {
  if (!isFormat(name)) throw new MissingError('There is no such format.')
  const record = getSite(store, id)
  const { extension, type, write, taken } = FORMATS[name] as Format
  const bytes = await write({ store, record, query, choices })
  return { bytes, type, file: `${slug(record.site.name)}${extension}`, note: () => taken?.({ store, record }) }
}

/**
 * A site in one format, with the name of its file, to be looked at.
 * @throws MissingError for a format or a site that is not there
 */
export const writeAs = (store: Store, id: string, name: string, query: URLSearchParams): Promise<Written> =>
  written(store, id, name, query)

/**
 * The same, taken: once it has been made, it is noted which revision was exported.
 * @throws MissingError for a format or a site that is not there
 */
export async function takeAs(
  store: Store,
  id: string,
  name: string,
  query: URLSearchParams,
  choices?: WebChoices,
): Promise<Written> {
  const { note, ...file } = await written(store, id, name, query, choices)
  note()
  return file
}
