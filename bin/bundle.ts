import { build } from 'esbuild'

/**
 * One script for a browser out of a few lines that import from the source.
 * @param format `esm` for a module, which knows its own address and finds its workers by it
 */
export async function bundled(contents: string, format: 'iife' | 'esm' = 'iife'): Promise<string> {
  const { outputFiles } = await build({
    stdin: { contents, resolveDir: process.cwd(), loader: 'ts' },
    bundle: true,
    write: false,
    format,
    platform: 'browser',
  })
  return outputFiles[0]!.text
}
