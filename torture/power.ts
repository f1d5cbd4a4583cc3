import { execFileSync } from 'node:child_process'
import {
  copyFileSync,
  existsSync,
  linkSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  realpathSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { join } from 'node:path'
import { removeFolder } from '#server/remove-folder'

/** A disk that keeps of a folder what was synced, and nothing else, when the power goes. */
export type Power = {
  /** What a program is told, so that it writes to this disk. */
  env: NodeJS.ProcessEnv
  /** All that stands in the folder is on the disk. */
  begin: () => void
  /** The power goes: the folder has what is on the disk. Whoever wrote to it must have ended. */
  cut: () => void
}

const flat = (path: string) => `root${path.replaceAll('/', '%')}`

/**
 * Puts a folder on such a disk.
 * @param data the folder
 * @param beside an empty folder on the same file system, for what is written down
 * @returns `null` where there is no C compiler to make it with
 */
export function powerOf(data: string, beside: string): Power | null {
  const [disk, library] = [join(beside, 'disk'), join(beside, 'power.so')]
  try {
    execFileSync('cc', ['-shared', '-fPIC', '-O1', '-w', '-o', library, 'torture/power.c', '-ldl'], { stdio: 'ignore' })
  } catch {
    return null
  }
  const root = realpathSync(data)
  const inode = (path: string) => String(statSync(path).ino)

  const lay = (path: string) => {
    const lines = readdirSync(join(root, path), { withFileTypes: true }).map((entry) => {
      const inner = `${path}/${entry.name}`
      const number = inode(join(root, inner))
      if (entry.isDirectory()) lay(inner)
      else {
        copyFileSync(join(root, inner), join(disk, 'inodes', number))
        linkSync(join(root, inner), join(disk, 'alive', number))
      }
      return `${number} ${entry.isDirectory() ? 'd' : 'f'} ${entry.name}\n`
    })
    writeFileSync(join(disk, 'folders', flat(path)), lines.join(''))
  }
  const bring = (path: string, to: string) => {
    mkdirSync(to)
    const list = join(disk, 'folders', flat(path))
    // A folder of which nothing was synced but its own name is empty.
    for (const line of existsSync(list) ? readFileSync(list, 'utf8').split('\n').filter(Boolean) : []) {
      const [, number, kind, name] = /^(\d+) ([df]) (.+)$/.exec(line)!
      const kept = join(disk, 'inodes', number!)
      if (kind === 'd') bring(`${path}/${name}`, join(to, name!))
      else if (existsSync(kept)) copyFileSync(kept, join(to, name!))
      else writeFileSync(join(to, name!), '')
    }
  }
  return {
    env: { LD_PRELOAD: library, POWER_ROOT: root, POWER_DISK: disk },
    begin() {
      removeFolder(disk)
      for (const one of ['inodes', 'folders', 'alive']) mkdirSync(join(disk, one), { recursive: true })
      lay('')
    },
    cut() {
      removeFolder(root)
      bring('', root)
    },
  }
}
