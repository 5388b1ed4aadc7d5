import withNuxt from './.nuxt/eslint.config.mjs'

export default withNuxt(
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      'max-params': ['error', 3],
      'vue/multi-word-component-names': 'off',
      // Vuetify names a table's slots by their columns: item.name.
      'vue/valid-v-slot': ['error', { allowModifiers: true }],
      'vue/html-self-closing': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off'
    }
  },
  {
    // The core is pure: nothing of the page, of Node or of the layers above may be reached from it. One outside
    // package: outlines of pen strokes, itself pure.
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts', 'core/**/*.bench.ts', 'core/testing/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ regex: '^(?!\\.|perfect-freehand$)', message: 'core imports nothing from outside itself' }] }
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'the core is given its random source' }
      ]
    }
  },
  {
    // Run once a pixel, where an object a call would cost; a colour's channels and a rectangle's x, y, w, h in their
    // usual order;
    // what a library calls.
    files: [
      'core/{colour/hold,trial/{apply,quick},picture/{orient,planes}}.ts',
      'core/measure/{focus/windows,value/greys,focus/attention/items}.ts',
      'core/testing/*.ts',
      'demo/{manifest,scenes/svg}.ts',
      'tests/judge/scenes.ts',
      'tests/judge/subjects.ts',
      'app/components/bench/stations/harmony/*Chart.vue',
      'server/http/form.ts',
      '**/*.test.ts'
    ],
    rules: { 'max-params': 'off' }
  },
  { ignores: ['.nuxt/', '.output/', '.data/', '.cache/'] }
)
