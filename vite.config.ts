import { reactRouter } from '@react-router/dev/vite'
import tailwindcss from '@tailwindcss/vite'
import { build } from 'esbuild'
import { defineConfig, type Plugin } from 'vite'

/** Builds what the server's threads run, beside the server. */
const threads = (): Plugin => ({
  name: 'threads',
  apply: 'build',
  async closeBundle() {
    if (this.environment.name !== 'ssr') return
    await build({
      entryPoints: ['server/threads/worker.ts'],
      outdir: 'build/server/threads',
      bundle: true,
      // What only some jobs need is loaded by them.
      splitting: true,
      format: 'esm',
      platform: 'node',
      target: 'node20',
      packages: 'external',
    })
  },
})

export default defineConfig({
  plugins: [tailwindcss(), reactRouter(), threads()],
  build: { chunkSizeWarningLimit: 1200 },
})
