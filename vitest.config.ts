import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    include: ['{core,server,app,demo,bin}/**/*.test.{ts,tsx}'],
    environment: 'node',
    testTimeout: 240_000,
  },
})
