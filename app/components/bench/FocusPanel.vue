<script setup lang="ts">
import { FOCUS_NAME } from '~~/shared/critique'

/** Where the eye should go: drawn on the picture, kept with the piece, and measured at once. */
const bench = useBenchStore()

watch(() => bench.drawing, async (drawing) => {
  if (drawing || !bench.sketch || bench.station !== 'focus') return
  const area = bench.sketch
  if (bench.focusArea) await bench.removeArea(bench.focusArea.id)
  await bench.addArea(FOCUS_NAME, area)
  bench.sketch = null
})
</script>

<template>
  <section class="focus" aria-label="Intended focus">
    <p v-if="bench.submission!.about" class="about">About: {{ bench.submission!.about }}.</p>
    <template v-if="!bench.released">
      <button class="word-link" :aria-pressed="bench.drawing" @click="bench.drawing = !bench.drawing">
        {{ bench.drawing ? 'drag over where the eye should go …' : bench.focusArea ? 'draw the focus anew (a)' : 'draw where the eye should go (a)' }}
      </button>
      <button v-if="bench.focusArea" class="word-link" @click="bench.removeArea(bench.focusArea.id)">no focus</button>
    </template>
  </section>
</template>

<style scoped>
.focus { display: flex; flex-wrap: wrap; gap: 6px 16px; padding: 10px 0; border-bottom: 1px solid #5e5e5e; color: var(--panel-quiet); }
.about { width: 100%; font-family: var(--serif); font-style: italic; font-size: 15px; }
</style>
