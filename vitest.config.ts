import Unimport from 'unimport/unplugin'
import { defineConfig } from 'vitest/config'

/** The page's own names for the root and for `app`, so that its plain modules can be tested. */
const alias = { '~~': import.meta.dirname, '~': `${import.meta.dirname}/app` }

/** What the page's modules use without importing it, as Nuxt gives it to them. */
const given = Unimport.vite({ presets: ['vue', 'pinia'], dirs: ['app/composables', 'app/stores', 'app/utils'] })

export default defineConfig({
  cacheDir: '.cache/vitest',
  test: {
    projects: [
      {
        resolve: { alias },
        plugins: [given],
        test: {
          name: 'unit',
          include: [
            'core/**/*.test.ts',
            'shared/**/*.test.ts',
            'cli/**/*.test.ts',
            'demo/**/*.test.ts',
            'bin/**/*.test.ts',
            'server/**/*.test.ts',
            'app/**/*.test.ts'
          ],
          testTimeout: 60_000,
          // By itself it leaves one processor for a person who waits at the machine: half of two.
          maxWorkers: '100%'
        }
      },
      {
        test: {
          name: 'api',
          include: ['tests/api/**/*.test.ts'],
          testTimeout: 60_000,
          hookTimeout: 60_000,
          fileParallelism: false
        }
      }
    ]
  }
})
