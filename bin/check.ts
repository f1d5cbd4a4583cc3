import { basename, resolve } from 'node:path'
import { findings } from '#core/analysis/checks/index'
import { weightFindings } from '#core/analysis/first-load'
import { rangesInWords } from '#core/analysis/finding'
import { namesOf, wordsToSpell } from '#core/analysis/spelling'
import { FormatError } from '#core/formats/site-json'
import { notExcused } from '#core/site/excuse'
import type { Site } from '#core/site/schema'
import { unknownWords } from '#server/threads/spelling'
import { weightsOf } from '#server/weights'
import { checkInBrowser, type Checked } from './check-in-browser'
import { openSiteFile } from './site-file'
import { sourcesOf } from './sources'

const USAGE = `Usage: npm run check -- FILE [--json] [--strict]

Checks all pages of a .site.json or .site.zip as the Check screen does: what is missing before launch, every width from
280 to 2560 px, words over pictures, access in each state, and weights. It fails where something is a fault; with --strict
also where something is for your eye. What a .site.json holds is looked for in "pictures", "fonts" and "files" beside
it. Widths, words over pictures and access need Chromium, and are passed over, which is said, where there is none.`

/** Words of each page that no dictionary has; where there is none of the language, nothing is said. */
async function spelling(site: Site): Promise<Checked[]> {
  const own = [...(site.launch?.words ?? []), ...namesOf(site)]
  const pages = await Promise.all(
    site.pages.map(async (page): Promise<Checked[]> => {
      const words = wordsToSpell(site, page)
      const unknown = await unknownWords({ language: site.language, words: words.map((one) => one.word), own })
      return (unknown ?? []).map(({ word, meant }) => ({
        kind: 'spelling',
        fault: false,
        page: page.id,
        block: words.find((one) => one.word === word)!.block,
        sentence: `“${word}” is in no dictionary${meant.length > 0 ? `; perhaps ${meant.join(', ')}` : ''}.`,
      }))
    }),
  )
  return pages.flat()
}

/**
 * Checks a file as the arguments say.
 * @param say takes what is printed, `complain` what is wrong with the call or the file
 * @returns the exit code: 0 without faults, 1 with them, 2 where nothing could be checked
 */
export async function check(args: string[], say = console.log, complain = console.error): Promise<number> {
  try {
    return await checked(args, say, complain)
  } catch (error) {
    if (!(error instanceof FormatError)) throw error
    complain(error.message)
    return 2
  }
}

async function checked(args: string[], say: (text: string) => void, complain: (text: string) => void): Promise<number> {
  const flags = new Set(args.filter((one) => one.startsWith('--')))
  const [file, ...more] = args.filter((one) => !one.startsWith('--'))
  if (!file || more.length > 0 || [...flags].some((one) => one !== '--json' && one !== '--strict')) {
    complain(USAGE)
    return 2
  }
  const read = await openSiteFile(file)
  const { site } = read
  const sources = sourcesOf(read)
  const seen = await checkInBrowser(site, sources)
  const weights = await weightsOf(site, {}, sources)
  const all: Checked[] = [
    ...findings(site),
    ...(await spelling(site)),
    ...(seen ?? []),
    ...site.pages.flatMap((page) => weightFindings(site, page.id, weights)),
  ]
  const open = notExcused(site.excuses, all)
  const excused = all.filter((one) => !open.includes(one))
  const faults = open.filter((one) => one.fault)
  if (flags.has('--json'))
    say(
      JSON.stringify(
        { file: basename(file), site: site.name, widthsChecked: seen !== undefined, findings: open, excused },
        null,
        2,
      ),
    )
  else {
    for (const page of site.pages) {
      const own = open.filter((one) => one.page === page.id).sort((a, b) => Number(b.fault) - Number(a.fault))
      say(own.length === 0 ? `${page.name}: clean` : page.name)
      for (const { fault, kind, sentence, ranges } of own)
        say(`  ${fault ? 'FAULT' : 'eye  '}  ${sentence}${ranges ? ` ${rangesInWords(ranges)}` : ''}  [${kind}]`)
    }
    if (seen === undefined) say('There is no Chromium here: widths, words over pictures and access were not checked.')
    say(
      `${faults.length} ${faults.length === 1 ? 'fault' : 'faults'}, ${open.length - faults.length} for your eye, ${excused.length} excused.`,
    )
  }
  // Who asks for all of it is not told that all is well where not all was looked at.
  return (flags.has('--strict') ? open : faults).length > 0 || (flags.has('--strict') && seen === undefined) ? 1 : 0
}

if (resolve(process.argv[1] ?? '') === import.meta.filename) process.exitCode = await check(process.argv.slice(2))
