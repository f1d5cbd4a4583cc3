import { availableParallelism } from 'node:os'
import { defineConfig } from 'vitest/config'

const IN = '{core,server,app,demo,bin,torture,benches}/**/*'

export default defineConfig({
  test: {
    testTimeout: 240_000,
    // Modules hold no state but memories of what is frozen, so files share them: importing costs more than testing.
    isolate: false,
    maxWorkers: Math.max(2, availableParallelism() - 1),
    // A worker that is given a file of another environment ends, and all is imported anew: those that want a document first.
    projects: [
      {
        extends: true,
        test: { name: 'document', include: [`${IN}.test.tsx`], environment: 'jsdom', sequence: { groupOrder: 0 } },
      },
      {
        extends: true,
        test: { name: 'node', include: [`${IN}.test.ts`], environment: 'node', sequence: { groupOrder: 1 } },
      },
    ],
  },
})
