import { readFileSync, writeFileSync } from 'node:fs'
import { describeFormat, siteJsonSchema } from '#core/formats/describe'

/** The documents that are made from the schemas. */
const DOCUMENTS = {
  'docs/file-format.md': describeFormat(),
  'docs/site.schema.json': `${JSON.stringify(siteJsonSchema(), null, 2)}\n`,
}

// With --check nothing is written: the run fails if a document is not as it would be made.
for (const [file, text] of Object.entries(DOCUMENTS)) {
  if (!process.argv.includes('--check')) writeFileSync(file, text)
  else if (readFileSync(file, 'utf8') !== text) {
    console.error(`${file} is out of date. Run: npm run docs`)
    process.exitCode = 1
  }
}
