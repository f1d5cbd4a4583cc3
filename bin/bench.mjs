// Runs the benchmarks, each in a process of its own, from code built as for production: all, or those that are named.
import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { build, chromium, install, ROOT, run } from './prepare.mjs'

await install()
await build()
const path = await chromium()
const { build: bundle } = await import('esbuild')
const out = join(ROOT, 'benches', '.bundle.mjs')
try {
  const all = [
    'screens',
    'render',
    'weight',
    'keypress',
    'composing',
    'style',
    'deck',
    'palette',
    'saving',
    'export',
    'pictures',
    'motion',
    'scrolling',
    'sweep',
    'large',
  ]
  const asked = process.argv.slice(2)
  for (const name of asked.length > 0 ? all.filter((one) => asked.includes(one)) : all) {
    if (name === 'screens') {
      const { printWeights } = await import('./weigh.mjs')
      printWeights()
      continue
    }
    await bundle({
      entryPoints: [join(ROOT, 'benches', `${name}.ts`)],
      outfile: out,
      bundle: true,
      platform: 'node',
      format: 'esm',
      packages: 'external',
      logLevel: 'error',
    })
    const code = await run(process.execPath, [out], { NODE_ENV: 'production', CHROMIUM_PATH: path })
    if (code !== 0) process.exitCode = code
  }
} finally {
  rmSync(out, { force: true })
}
