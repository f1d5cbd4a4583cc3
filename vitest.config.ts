import { availableParallelism } from 'node:os'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    include: ['{core,server,app,demo,bin,torture,benches}/**/*.test.{ts,tsx}'],
    environment: 'node',
    testTimeout: 240_000,
    // Modules hold no state but memories of what is frozen, so files share them: importing costs more than testing.
    isolate: false,
    maxWorkers: Math.max(2, availableParallelism() - 1),
  },
})
