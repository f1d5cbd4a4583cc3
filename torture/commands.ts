import { unzipSync, zipSync } from 'fflate'
import { cpSync, mkdirSync, readdirSync, readFileSync, symlinkSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { newBlock } from '#core/blocks/defaults'
import type { Block } from '#core/blocks/index'
import type { Chooser } from '#core/edits/edit'
import { chooserOf } from '#core/edits/edits.fixture'
import { writeSiteZip } from '#core/formats/site-zip'
import { section, siteOf, worded } from '#core/site/made.fixture'
import { testIds } from '#core/values/ids.fixture'
import { hashOf } from '#server/hash'
import { backup } from '../bin/backup'
import { check } from '../bin/check'
import { exportSite } from '../bin/export'
import { SVG } from './files'
import { unsafeIn } from './inputs'
import { mutateBytes, mutateJson, mutateText } from './mutate'

type Say = (line: string) => void
/** A command that reads what others made: the hostile file or folder, and where it may write. */
type Command = (from: string, to: string, complain: Say) => Promise<number>

const COMMANDS: Record<string, Command> = {
  export: (from, to, complain) => exportSite([from, to], () => undefined, complain),
  check: (from, _to, complain) => check([from, '--json'], () => undefined, complain),
  async restore(from, to, complain) {
    const before = process.env.YARROWFINCH_DATA
    process.env.YARROWFINCH_DATA = to
    try {
      return await backup(['restore', from], () => undefined, complain)
    } finally {
      if (before === undefined) delete process.env.YARROWFINCH_DATA
      else process.env.YARROWFINCH_DATA = before
    }
  },
}
export const COMMAND_NAMES = Object.keys(COMMANDS)

const bytesOf = (text: string) => new TextEncoder().encode(text)

/** A site with a picture that it shows and a file that it hands out, small enough to be exported in a moment. */
function example(picture: Uint8Array, file: Uint8Array) {
  const [shown, led] = [hashOf(picture), hashOf(file)]
  const site = {
    ...siteOf('Tides', [
      section('Plan', [
        worded('heading', 'title', 'Bring a coat'),
        { ...newBlock('picture', testIds()), id: 'shown', picture: 'p' } as Block,
        { ...worded('link', 'leads', 'Tides'), link: { file: 'f' } } as Block,
      ]),
    ]),
    pictures: [{ id: 'p', name: 'mark.svg', hash: shown, type: 'image/svg+xml' as const, width: 40, height: 20 }],
    files: [{ id: 'f', name: 'tides.pdf', hash: led, bytes: file.length }],
  }
  return { site, held: { pictures: new Map([[shown, picture]]), files: new Map([[led, file]]) } }
}

/** A site file that is damaged, is none, or holds what it should not, named by the hash that it has. */
function hostileSiteFile(folder: string, choose: Chooser): string {
  const picture = bytesOf(choose.number(2) === 0 ? SVG : mutateText(SVG, choose))
  const file = bytesOf(choose.one(['%PDF-1.7 tides', '<script>alert(1)</script>', mutateText('%PDF-1.7 tides', choose)]))
  const { site, held } = example(picture, file)
  const write = (name: string, bytes: string | Uint8Array) => {
    writeFileSync(join(folder, name), bytes)
    return join(folder, name)
  }
  switch (choose.number(5)) {
    case 0:
      return write('a.site.json', JSON.stringify(mutateJson(site, choose, choose.one([0.002, 0.02]))))
    case 1:
      return write('a.site.json', mutateText(JSON.stringify(site), choose))
    case 2:
      return write('a.site.zip', mutateBytes(writeSiteZip({ site, ...held }), choose))
    case 3: {
      // Names that lead elsewhere.
      const entries = Object.entries(unzipSync(writeSiteZip({ site, ...held })))
      const renamed = entries.map(([name, bytes]): [string, Uint8Array] => [
        choose.number(3) === 0 ? choose.one(['../../', '/tmp/', 'pictures/../../', 'C:\\']) + name : name,
        bytes,
      ])
      return write('a.site.zip', zipSync(Object.fromEntries(renamed)))
    }
    default:
      return write('a.site.zip', writeSiteZip({ site, ...held }))
  }
}

/** A copy of a backup of which some files are damaged, gone, links, or more than were there. */
function hostileBackup(good: string, folder: string, choose: Chooser): string {
  const copy = join(folder, 'backup')
  cpSync(good, copy, { recursive: true })
  const files = readdirSync(copy, { recursive: true, withFileTypes: true }).filter((entry) => entry.isFile())
  for (const { parentPath, name } of files)
    if (choose.number(2) === 0) writeFileSync(join(parentPath, name), mutateBytes(readFileSync(join(parentPath, name)), choose))
  if (choose.number(3) === 0) {
    mkdirSync(join(copy, 'pictures'), { recursive: true })
    symlinkSync('/etc/hostname', join(copy, 'pictures', 'a'.repeat(64)))
  }
  return copy
}

/** All files below a folder, with their bytes. */
const standingIn = (folder: string): Map<string, string> =>
  new Map(
    readdirSync(folder, { recursive: true, withFileTypes: true })
      .filter((entry) => entry.isFile())
      .map(({ parentPath, name }) => [join(parentPath, name), readFileSync(join(parentPath, name), 'latin1')]),
  )

/**
 * Gives hostile files to a command.
 * @param folder an empty one of its own
 * @param good a valid backup
 * @returns what must not be, each with the seed that leads to it again
 */
export async function tryCommand(name: string, folder: string, good: string, seed: number): Promise<string[]> {
  const choose = chooserOf(seed)
  const [given, outside, to] = ['given', 'outside', 'to'].map((one) => join(folder, one)) as [string, string, string]
  for (const one of [given, outside, to]) mkdirSync(one, { recursive: true })
  writeFileSync(join(outside, 'own.txt'), 'mine')
  const from = name === 'restore' ? hostileBackup(good, given, choose) : hostileSiteFile(given, choose)
  const before = standingIn(folder)
  const faults: string[] = []
  let said = ''
  try {
    const code = await COMMANDS[name]!(from, to, (line) => (said += `${line}\n`))
    if (![0, 1, 2].includes(code)) faults.push(`ended with ${code}`)
    if (code === 2 && said === '') faults.push('says nothing of what is wrong')
    if (/\n\s+at /.test(said)) faults.push(`shows a stack: ${said.slice(0, 200)}`)
  } catch (error) {
    faults.push(`threw ${String(error)}`)
  }
  for (const [path, bytes] of standingIn(folder)) {
    if (!path.startsWith(`${to}/`) && before.get(path) !== bytes) faults.push(`wrote ${path}`)
    if (path.startsWith(`${to}/`) && name === 'export' && /\.(html|svg)$/.test(path))
      faults.push(...unsafeIn(Buffer.from(bytes, 'latin1').toString()).map((found) => `${path}: ${found}`))
  }
  return faults.map((fault) => `${name} (seed ${seed}): ${fault}`)
}
