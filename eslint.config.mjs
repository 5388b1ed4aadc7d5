import withNuxt from './.nuxt/eslint.config.mjs'

export default withNuxt(
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      'vue/multi-word-component-names': 'off',
      'vue/html-self-closing': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off'
    }
  },
  {
    // The core is pure: nothing of the page, of Node or of the layers above may be reached from it. One outside package: outlines of pen strokes, itself pure.
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts', 'core/**/*.bench.ts', 'core/testing/**'],
    rules: {
      'no-restricted-imports': ['error', { patterns: [{ regex: '^(?!\\.|perfect-freehand$)', message: 'core imports nothing from outside itself' }] }],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random', message: 'the core is given its random source' }]
    }
  },
  { ignores: ['.nuxt/', '.output/', '.data/', '.cache/'] }
)
