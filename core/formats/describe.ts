import { z } from 'zod'
import { JOBS } from '#core/blocks/section'
import { BLOCK_KINDS, kindOf } from '#core/blocks/index'
import { FILE_FORMAT, FILE_VERSION, siteSchema } from '#core/site/schema'
import { appliesTo } from '#core/blocks/applies'
import { propertyNames, propertyOf } from '#core/style/registry'

/** The JSON Schema of a `.site.json` file. */
export function siteJsonSchema(): object {
  return { title: 'Yarrowfinch site', ...z.toJSONSchema(siteSchema, { reused: 'ref', io: 'input' }) }
}

const shapeOf = (schema: z.ZodType): string => {
  const json = z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }) as {
    type?: string
    enum?: string[]
    anyOf?: object[]
    minimum?: number
    maximum?: number
    properties?: object
  }
  if (json.enum) return json.enum.map((one) => `\`${one}\``).join(', ')
  if (json.anyOf)
    return json.anyOf.map((one) => `{ ${Object.keys((one as { properties?: object }).properties ?? {}).join(', ')} }`).join(' or ')
  if (json.properties) return `{ ${Object.keys(json.properties).join(', ')} }`
  const range = json.minimum === undefined ? '' : `, ${json.minimum} to ${json.maximum}`
  return `${json.type ?? 'value'}${range}`
}

/** The file format in words, for `docs/file-format.md`. */
export function describeFormat(): string {
  const kinds = BLOCK_KINDS.map(
    (kind) =>
      `| \`${kind}\` | ${
        Object.keys(kindOf(kind).fields.shape)
          .map((name) => `\`${name}\``)
          .join(', ') || '–'
      } |`,
  )
  const styles = propertyNames.map((name) => {
    const property = propertyOf(name)
    const on = property.applies === 'all' ? 'all' : BLOCK_KINDS.filter((kind) => appliesTo(name, kind)).join(', ')
    return `| \`${name}\` | ${property.label} | ${shapeOf(property.schema)} | ${on} | ${property.onHover ? 'yes' : ''} |`
  })
  return `# The site file

*Made from the schemas by \`npm run docs\`; do not edit by hand.*

A site is one JSON document, \`.site.json\`, with \`"format": "${FILE_FORMAT}"\` and \`"version": ${FILE_VERSION}\`.
A site with its pictures is a zip, \`.site.zip\`: the document as \`site.json\`, and the original of each picture as
\`pictures/<SHA-256>.<extension>\`. \`docs/site.schema.json\` is its JSON Schema (draft 2020-12). A file with a higher version is
refused by name; one with a lower version is brought up to date when it is opened.

## The document

| field | what it holds |
|---|---|
| \`name\`, \`language\` | the site's name, and the language (BCP 47) that its words are first written in |
| \`breakpoints\` | from the widest to the narrowest. The first has \`"below": null\` and is the base; each has \`columns\`, \`gutter\`, \`margin\` and \`container\` in px |
| \`views\` | widths of the views, px |
| \`guide\` | the style guide: \`colours\`, \`faces\`, \`types\`, \`spaces\`, \`corners\`, \`shadows\`, \`buttons\` |
| \`pictures\` | the pictures of the site: \`id\`, \`name\`, \`hash\`, \`type\`, \`width\`, \`height\` |
| \`launch\` | what is said of the site elsewhere: \`address\`, \`owner\`, \`icon\`, the picture of shared links (\`share\`), \`budget\` and the site's own \`words\` |
| \`pages\` | each with \`id\`, \`name\`, \`address\`, \`title\` and \`description\` by language, and \`sections\`; it may be \`unlisted\` in navigation or \`unsearched\`, have a picture of its own to \`share\`, and be \`about\` an event or a product |

## Blocks

Every block has an \`id\` that never changes, its \`kind\`, a \`style\`, and may have a \`name\` and be \`hidden\`. Sections, groups,
lists and navs hold \`children\`. A section does one job: ${JOBS.map((job) => `\`${job}\``).join(', ')}.

| kind | what it carries |
|---|---|
${kinds.join('\n')}

Words are kept by language as a list of spans: a string, \`{ "kind": "emphasis" | "strong" | "struck" | "highlight", "children": [...] }\`,
\`{ "kind": "link", "href": "...", "children": [...] }\` or \`{ "kind": "break" }\`. They are never HTML.

## Style

\`style\` has a \`base\` for all widths, \`below\` with exceptions by the id of a breakpoint, and \`hover\`. An exception holds below its
breakpoint, and below the narrower ones unless they have their own.

A length is \`{ "value": 24, "unit": "px" }\` (units px, %, rem, em, ch, vh, columns), \`{ "token": "space-4" }\`, or
\`{ "fluid": { "from": { "at": 375, "px": 38 }, "to": { "at": 1360, "px": 76 } } }\`. A colour is \`{ "role": "ink" }\` or
\`{ "hex": "#1A1D47" }\`, either with an \`alpha\` from 0 to 1.

| property | in the interface | value | blocks | on hover |
|---|---|---|---|---|
${styles.join('\n')}
`
}
