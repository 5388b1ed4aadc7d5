import { bundleWorkers } from './server/work/bundle'

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
      meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/mark.svg' }]
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
    optimizeDeps: { include: ['comlink', 'zod', 'konva', 'vue-konva', 'date-fns'] }
  },
  nitro: { typescript: { tsConfig: { compilerOptions: { noUncheckedIndexedAccess: false } } } },
  hooks: {
    'nitro:init': nitro => nitro.hooks.hook('compiled', () => bundleWorkers(nitro.options.output.serverDir))
  },
  experimental: { appManifest: false }
})
