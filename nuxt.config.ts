import { fileURLToPath } from 'node:url'
import { bundleWorkers } from './server/work/bundle'

/** The libraries the page is begun with, each a chunk of its own (app/start/begin.ts brings them in turn). */
const PARTS: readonly (readonly [name: string, modules: RegExp])[] = [
  // Asked for by every chunk: with one of the others it would bring that one along.
  ['preload', /vite\/preload-helper/],
  ['vue', /node_modules\/(@vue|vue|vue-router|pinia|unhead|@unhead|hookable|ufo|defu|ofetch)\//],
  ['contracts', /node_modules\/zod\//],
  ['vuetify', /node_modules\/vuetify\/lib\/(framework|util|composables|locale|iconsets)/]
]
const path = (relative: string): string => fileURLToPath(new URL(relative, import.meta.url))

export default defineNuxtConfig({
  compatibilityDate: '2026-01-01',
  ssr: false, // the bench is a tool behind a sign-in: nothing is gained by rendering it twice
  telemetry: false,
  devtools: { enabled: false },
  modules: ['vuetify-nuxt-module', '@pinia/nuxt', '@nuxt/eslint'],
  css: [
    '@fontsource-variable/instrument-sans/wght.css',
    '@fontsource-variable/newsreader/wght.css',
    '@fontsource-variable/newsreader/wght-italic.css',
    '~/theme/page.css'
  ],
  // Inside node_modules it would be shared between a used and a clean clone.
  buildDir: '.nuxt',
  imports: { autoImport: true },
  components: [{ path: '~/components', pathPrefix: false }],
  app: {
    head: {
      htmlAttrs: { lang: 'en' },
      title: 'Critica',
      meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }]
    }
  },
  vuetify: {
    moduleOptions: { importComposables: true },
    vuetifyOptions: './vuetify.config.ts'
  },
  // Typed arrays are indexed everywhere in the core; a check on each would only be silenced.
  typescript: { strict: true, typeCheck: false, tsConfig: { compilerOptions: { noUncheckedIndexedAccess: false } } },
  vite: {
    cacheDir: '.cache/vite',
    worker: { format: 'es' },
    // vue-konva's core asks for the whole of konva beside it; the wall draws with three of its shapes.
    resolve: { alias: [{ find: /^konva$/, replacement: 'konva/lib/Core.js' }] },
    optimizeDeps: { include: ['comlink', 'zod', 'konva', 'vue-konva/core', 'date-fns'] }
  },
  nitro: { typescript: { tsConfig: { compilerOptions: { noUncheckedIndexedAccess: false } } } },
  hooks: {
    'vite:extendConfig': (config, { isClient }) => {
      if (!isClient || config.mode !== 'production') return
      const build = config.build!.rollupOptions!
      // Hints for a chunk's own imports are each an element set into the page, a score of them at once; the imports are
      // found soon enough.
      config.build!.modulePreload = {
        polyfill: false,
        resolveDependencies: (_, parts) => parts.filter(part => part.endsWith('.css'))
      }
      Object.assign(build, { input: { entry: path('app/start/begin.ts') } })
      Object.assign(build.output!, { manualChunks: (id: string) => PARTS.find(([, modules]) => modules.test(id))?.[0] })
    },
    'nitro:init': nitro => nitro.hooks.hook('compiled', () => bundleWorkers(nitro.options.output.serverDir))
  },
  experimental: { appManifest: false }
})
