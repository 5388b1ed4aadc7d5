import { defineConfig } from 'vitest/config'

export default defineConfig({
  cacheDir: '.cache/vitest',
  test: {
    projects: [
      { test: { name: 'unit', include: ['core/**/*.test.ts', 'shared/**/*.test.ts', 'cli/**/*.test.ts', 'demo/**/*.test.ts', 'bin/**/*.test.ts', 'server/**/*.test.ts', 'app/**/*.test.ts'], testTimeout: 60_000 } },
      { test: { name: 'api', include: ['tests/api/**/*.test.ts'], testTimeout: 60_000, hookTimeout: 60_000, fileParallelism: false } }
    ]
  }
})
