// A plugin of the mutation runner: of all mutants within the places that were drawn, only those that were drawn are tried.
import { declareClassPlugin, PluginKind } from '@stryker-mutator/api/plugin'
import { readFileSync } from 'node:fs'
import { relative } from 'node:path'

/** What tells one mutant from all others: its place, what it is, and what it puts there. Lines begin at `first`. */
export const keyOf = ({ fileName, location: { start, end }, mutatorName, replacement }, first) =>
  [
    relative(process.cwd(), fileName).replace(/^.*?sandbox[^/]*\//, ''),
    start.line - first,
    start.column,
    end.line - first,
    end.column,
    mutatorName,
    replacement,
  ].join('|')

class Sampled {
  #drawn = new Set(JSON.parse(readFileSync(process.env.YARROWFINCH_MUTANTS, 'utf8')))
  async init() {}
  async check(mutants) {
    return Object.fromEntries(
      mutants.map((one) => [
        one.id,
        this.#drawn.has(keyOf(one, 0)) ? { status: 'passed' } : { status: 'compileError', reason: 'It was not drawn.' },
      ]),
    )
  }
}

export const strykerPlugins = [declareClassPlugin(PluginKind.Checker, 'sampled', Sampled)]
