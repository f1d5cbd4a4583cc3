import { reactRouter } from '@react-router/dev/vite'
import tailwindcss from '@tailwindcss/vite'
import { defineConfig, type Plugin } from 'vite'
import { buildThreads } from './server/threads/build.ts'

/** Builds what the server's threads run, beside the server. */
const threads = (): Plugin => ({
  name: 'threads',
  apply: 'build',
  async closeBundle() {
    if (this.environment.name !== 'ssr') return
    await buildThreads('build/server/threads')
  },
})

export default defineConfig({
  plugins: [tailwindcss(), reactRouter(), threads()],
  build: { chunkSizeWarningLimit: 1200, reportCompressedSize: false },
})
