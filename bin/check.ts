import { basename, resolve } from 'node:path'
import { findings } from '#core/analysis/checks/index'
import { weightFindings } from '#core/analysis/first-load'
import { rangesInWords } from '#core/analysis/finding'
import { saidOf } from '#core/analysis/where'
import { namesOf, wordsToSpell } from '#core/analysis/spelling'
import { FormatError } from '#core/formats/site-json'
import { notExcused } from '#core/site/excuse'
import { gathered } from '#core/sweep/gathered'
import type { SiteFile } from '#core/formats/site-zip'
import type { Page, Site } from '#core/site/schema'
import { unknownWords } from '#server/threads/spelling'
import { weightsOf } from '#server/weights'
import { checkInBrowser, type Checked } from './check-in-browser'
import { openSiteFile } from './site-file'
import { sourcesOf } from './sources'

const USAGE = `Usage: npm run check -- FILE [--json] [--strict]

Checks all pages of a .site.json or .site.zip as the Check screen does: what is missing before launch, every width from
280 to 2560 px, words over pictures, access in each state, and weights. It fails where something is a fault; with --strict
also where something is for your eye. What a .site.json holds is looked for in "pictures", "fonts" and "files" beside
it. Pages are said as soon as they are known. What could not be looked at is said: where there is no Chromium, widths, words
over pictures and access; pictures that are not there; a page that cannot be laid out. With --strict it fails as well.`

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
  const json = flags.has('--json')
  const known = [...findings(site), ...(await spelling(site))]
  const weights = weightsOf(site, {}, sources)
  // What is wrong with them is said where they are waited for.
  weights.catch(() => undefined)
  const missed = missing(read)
  // Pages are said in their order, each as soon as it and all before it are known.
  const looked = new Map<number, Checked[]>()
  const all: Checked[] = []
  let next = 0
  const sayNext = async () => {
    for (let seen = looked.get(next); seen; seen = looked.get(next)) {
      const page = site.pages[next++]!
      const found = [...known.filter((one) => one.page === page.id), ...seen, ...weightFindings(site, page.id, await weights)]
      all.push(...found)
      if (!json) sayPage(page, notExcused(site.excuses, found), say)
    }
  }
  let saying = Promise.resolve()
  const onPage = (n: number, seen: Checked[]) => {
    looked.set(n, seen)
    saying = saying.then(sayNext)
  }
  const looks = await checkInBrowser(site, sources, (n, found) => {
    if ('failed' in found) missed.push(`The page “${site.pages[n]!.name}” could not be laid out: ${found.failed}`)
    onPage(n, 'failed' in found ? [] : found)
  })
  if (!looks) {
    missed.push('There is no Chromium here: widths, words over pictures and access were not checked.')
    for (const n of site.pages.keys()) onPage(n, [])
  }
  await saying
  const open = notExcused(site.excuses, all)
  const excused = all.filter((one) => !open.includes(one))
  const faults = open.filter((one) => one.fault)
  if (json)
    say(
      JSON.stringify(
        { file: basename(file), site: site.name, widthsChecked: looks, notLookedAt: missed, findings: open, excused },
        null,
        2,
      ),
    )
  else {
    for (const one of missed) say(one)
    say(
      `${faults.length} ${faults.length === 1 ? 'fault' : 'faults'}, ${open.length - faults.length} for your eye, ${excused.length} excused.`,
    )
  }
  // Who asks for all of it is not told that all is well where not all was looked at.
  return (flags.has('--strict') ? open.length + missed.length : faults.length) > 0 ? 1 : 0
}

/** What a file names and neither holds nor has beside it, so that it cannot be looked at. */
const missing = ({ site, pictures }: SiteFile): string[] =>
  site.pictures
    .filter(({ hash }) => !pictures.has(hash))
    .map(({ name }) => `The picture “${name}” is not there, so what stands over it was not looked at.`)

/** Says what was found on a page, faults first. */
function sayPage(page: Page, found: Checked[], say: (text: string) => void): void {
  say(found.length === 0 ? `${page.name}: clean` : page.name)
  for (const one of gathered(found).toSorted((a, b) => Number(b.fault) - Number(a.fault)))
    say(
      `  ${one.fault ? 'FAULT' : 'eye  '}  ${saidOf(page, one)}${one.ranges ? ` ${rangesInWords(one.ranges)}` : ''}  [${one.kind}]`,
    )
}

if (resolve(process.argv[1] ?? '') === import.meta.filename) process.exitCode = await check(process.argv.slice(2))
