import { reactRouter } from '@react-router/dev/vite'
import tailwindcss from '@tailwindcss/vite'
import { defineConfig, type Plugin } from 'vite'
import { guard } from './server/guard.ts'
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

/** Puts the guard before what is served while it is developed, as it stands before the built application. */
const guarded = (): Plugin => ({
  name: 'guarded',
  apply: 'serve',
  configureServer: ({ middlewares }) => void middlewares.use(guard),
})

export default defineConfig(({ isSsrBuild }) => ({
  plugins: [tailwindcss(), reactRouter(), threads(), guarded()],
  build: {
    chunkSizeWarningLimit: 1200,
    reportCompressedSize: false,
    ...(isSsrBuild ? { rollupOptions: { input: 'app/serve.ts' } } : {}),
  },
}))
