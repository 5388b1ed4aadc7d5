<script setup lang="ts">
import { isMeasured } from '~~/core/measure/report'

/** Faces that nobody marked: where they were seen, and the one click by which they count or do not. */
const bench = useBenchStore(),
  sight = useSightStore(),
  edits = useEditsStore()
const found = computed(() => {
  const focus = bench.report?.focus
  return focus && isMeasured(focus) && isMeasured(focus.peaks) ? focus.peaks.filter(p => p.found !== undefined) : []
})
const show = () => (sight.points = found.value.map(({ x, y }, i) => ({ x, y, label: String(i + 1) })))
</script>

<template>
  <p v-if="found.length" class="found">
    {{ found.length === 1 ? 'A face was' : 'Faces were' }} found in it.
    <button class="word-link" @click="show">show where</button>
    <button v-if="!bench.closed" class="word-link" @click="edits.note({ noFaces: true })">no face there</button>
  </p>
  <p v-else-if="bench.notes.noFaces" class="found">
    What looked like a face is not counted.
    <button v-if="!bench.closed" class="word-link" @click="edits.note({ noFaces: false })">count it</button>
  </p>
</template>

<style scoped>
.found {
  padding: 8px 0;
  font-size: 13px;
}
.word-link {
  margin-left: 6px;
}
</style>
